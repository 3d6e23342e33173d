# Whether the client lets the times of subtitles be changed.
class TimesFixed < ActiveRecord::Migration[7.2]
  def change
    add_column :projects, :times_fixed, :boolean, null: false, default: false
  end
end

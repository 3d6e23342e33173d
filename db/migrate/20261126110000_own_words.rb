# Words she added to the spelling of a language: for herself, for a client, or for one project.
class OwnWords < ActiveRecord::Migration[7.2]
  def change
    create_table :own_words do |t|
      t.references :user, null: false, foreign_key: true
      t.references :client, foreign_key: true
      t.references :project, foreign_key: true
      t.string :lang, null: false
      t.string :word, null: false
      t.timestamps
    end
  end
end

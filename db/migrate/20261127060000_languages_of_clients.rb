# The language that a client's letters are in; null: that of the translator.
class LanguagesOfClients < ActiveRecord::Migration[7.2]
  def change
    add_column :clients, :language, :string
  end
end

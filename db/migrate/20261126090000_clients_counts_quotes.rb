# What is set up once for a client, templates of projects, counts that are kept, and quotes made of them.
class ClientsCountsQuotes < ActiveRecord::Migration[7.2]
  def change
    change_table :clients do |t|
      t.json :people, default: [], null: false
      t.text :address, default: "", null: false
      t.text :own_address, default: "", null: false
      t.json :subjects, default: [], null: false
      t.json :memories, default: [], null: false
      t.json :never_used, default: [], null: false
      t.json :never_translated, default: [], null: false
      t.string :file_pattern, default: "", null: false
      t.string :reference_pattern, default: "", null: false
      t.boolean :machine, default: false, null: false
      t.text :notes, default: "", null: false
      t.text :conditions, default: "", null: false
      t.integer :valid_days, default: 30, null: false
      t.text :rules
      t.datetime :put_away_at
    end
    change_table :projects do |t|
      t.string :kind, default: "project", null: false
      t.json :never_used, default: [], null: false
      t.json :never_translated, default: [], null: false
      t.string :file_pattern, default: "", null: false
    end
    change_table :users do |t|
      t.json :working, default: { days: [1, 2, 3, 4, 5], from: "09:00", to: "17:00" }, null: false
      t.string :remind_at, default: "09:00", null: false
      t.string :time_zone, default: "UTC", null: false
      t.text :address, default: "", null: false
      t.string :quote_pattern, default: "{yyyy}-{nnn}", null: false
    end
    create_table :rate_cards do |t|
      t.references :user, null: false, foreign_key: true
      # Nil: what she asks of anybody.
      t.references :client, foreign_key: true
      t.string :source_lang, null: false
      t.string :target_lang, null: false
      t.json :rates, default: {}, null: false
      t.timestamps
      t.index %i[user_id client_id source_lang target_lang], unique: true, name: "index_rate_cards_on_pair"
    end
    create_table :reports do |t|
      t.references :user, null: false, foreign_key: true
      t.references :project, foreign_key: true
      t.references :client, foreign_key: true
      t.string :name, null: false
      t.string :made, null: false
      t.string :source_lang
      t.string :target_lang
      # The memories it was counted against, as they were called then: [{"id", "name", "penalty"}].
      t.json :memories, default: [], null: false
      t.string :mark, null: false
      t.string :state, default: "counting", null: false
      t.string :message
      t.boolean :kept, default: true, null: false
      t.integer :done, default: 0, null: false
      t.integer :total, default: 0, null: false
      t.json :figures
      t.timestamps
    end
    create_table :quotes do |t|
      t.references :user, null: false, foreign_key: true
      t.references :report, null: false, foreign_key: true
      t.references :project, foreign_key: true
      t.references :client, foreign_key: true
      t.string :number, null: false
      t.string :state, default: "open", null: false
      t.date :valid_until, null: false
      t.datetime :done_at
      t.float :hours, null: false
      t.json :rates, null: false
      t.json :figures, null: false
      # Who wrote to whom, on what conditions, as it was then.
      t.json :letter, default: {}, null: false
      t.timestamps
      t.index %i[user_id number], unique: true
    end
  end
end

# People, clients, projects with documents and segments, memories, deliveries.
class CreateFirstSlice < ActiveRecord::Migration[7.2]
  def change
    create_table :users do |t|
      t.string :name, null: false
      t.string :email, null: false, index: { unique: true }
      t.string :password_digest, null: false
      t.integer :words_per_hour, null: false, default: 350
      t.string :reference_pattern, null: false, default: "{client}-{yy}{nn}"
      t.json :preferences, null: false, default: {}
      t.timestamps
    end

    create_table :clients do |t|
      t.references :user, null: false, foreign_key: true
      t.string :name, null: false
      t.string :code, null: false
      t.timestamps
      t.index %i[user_id name], unique: true
    end

    create_table :projects do |t|
      t.references :user, null: false, foreign_key: true
      t.references :client, foreign_key: true
      t.string :reference
      t.string :name, null: false, default: ""
      t.string :subject, null: false, default: ""
      t.text :description, null: false, default: ""
      t.string :source_lang
      t.string :target_lang
      t.datetime :due_at
      t.datetime :begun_at
      t.datetime :opened_at
      t.bigint :last_segment_id
      t.json :proposed, null: false, default: {}
      t.timestamps
    end

    create_table :documents do |t|
      t.references :project, null: false, foreign_key: true
      t.integer :position, null: false
      t.string :name, null: false
      t.string :format
      t.string :state, null: false, default: "waiting"
      t.string :message
      t.string :run
      t.integer :done, null: false, default: 0
      t.integer :total, null: false, default: 0
      t.string :by, null: false, default: "sentence"
      t.string :source_lang
      t.json :options, null: false, default: {}
      t.json :breaks, null: false, default: {}
      t.json :facts, null: false, default: {}
      t.json :bands
      t.integer :byte_size, null: false, default: 0
      t.string :checksum
      t.timestamps
    end

    create_table :segments do |t|
      t.references :document, null: false, foreign_key: true, index: false
      t.references :project, null: false, foreign_key: true
      t.integer :position, null: false
      t.string :key, null: false
      t.string :block, null: false
      t.string :path, null: false
      t.text :source, null: false
      t.string :source_key, null: false
      t.json :codes, null: false, default: []
      t.integer :words, null: false
      t.integer :characters, null: false
      t.text :target, null: false, default: ""
      t.string :state, null: false, default: "untouched"
      t.json :origin, null: false, default: {}
      t.boolean :marked, null: false, default: false
      t.integer :version, null: false, default: 0
      t.string :note
      t.integer :limit
      t.datetime :confirmed_at
      t.timestamps
      t.index %i[document_id position], unique: true
      t.index %i[project_id source_key]
    end

    create_table :versions do |t|
      t.references :segment, null: false, foreign_key: true
      t.references :user, foreign_key: true
      t.text :target, null: false
      t.string :state, null: false
      t.json :origin, null: false, default: {}
      t.timestamps
    end

    create_table :memories do |t|
      t.references :user, null: false, foreign_key: true
      t.string :name, null: false
      t.text :description, null: false, default: ""
      t.string :source_lang, null: false
      t.string :target_lang, null: false
      t.timestamps
      t.index %i[user_id name], unique: true
    end

    create_table :attachments_of_memories do |t|
      t.references :project, null: false, foreign_key: true
      t.references :memory, null: false, foreign_key: true
      t.integer :position, null: false
      t.string :learns, null: false, default: "never"
      t.boolean :read_only, null: false, default: false
      t.integer :penalty, null: false, default: 0
      t.timestamps
      t.index %i[project_id memory_id], unique: true
    end

    create_table :memory_units do |t|
      t.references :memory, null: false, foreign_key: true, index: false
      t.bigint :segment_id, index: true
      t.text :source, null: false
      t.text :target, null: false
      t.string :source_key, null: false
      t.float :weight, null: false
      t.string :author
      t.string :client
      t.string :subject
      t.string :project
      t.string :file
      t.string :origin, null: false, default: "typed"
      t.string :previous
      t.string :next
      t.integer :used, null: false, default: 0
      t.timestamps
      t.index %i[memory_id source_key]
      t.index %i[memory_id segment_id]
    end

    create_table :memory_postings, id: false do |t|
      t.integer :memory_id, null: false
      t.integer :token, null: false
      t.integer :unit_id, null: false
      t.index %i[memory_id token unit_id], unique: true
      t.index :unit_id
    end

    create_table :deliveries do |t|
      t.references :project, null: false, foreign_key: true
      t.references :user, null: false, foreign_key: true
      t.integer :number, null: false
      t.json :unfinished, null: false, default: {}
      t.integer :learned, null: false, default: 0
      t.timestamps
    end

    create_table :delivered_files do |t|
      t.references :delivery, null: false, foreign_key: true
      t.references :document, null: false, foreign_key: true
      t.string :name, null: false
      t.string :checksum, null: false
      t.integer :byte_size, null: false
      t.json :proof, null: false
      t.timestamps
    end

    create_table :active_storage_blobs do |t|
      t.string :key, null: false, index: { unique: true }
      t.string :filename, null: false
      t.string :content_type
      t.text :metadata
      t.string :service_name, null: false
      t.bigint :byte_size, null: false
      t.string :checksum
      t.datetime :created_at, precision: 6, null: false
    end
    create_table :active_storage_attachments do |t|
      t.string :name, null: false
      t.references :record, null: false, polymorphic: true, index: false
      t.references :blob, null: false, foreign_key: { to_table: :active_storage_blobs }
      t.datetime :created_at, precision: 6, null: false
      t.index %i[record_type record_id name blob_id], name: :index_attachments_uniqueness, unique: true
    end
  end
end

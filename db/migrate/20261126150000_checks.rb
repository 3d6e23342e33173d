# What the checks found in each segment, kept until the segment changes; what is let stand, with a reason;
# which checks run for a client or a project, and how bad each is.
class Checks < ActiveRecord::Migration[7.2]
  def change
    create_table :checked_segments do |t|
      t.references :segment, null: false, foreign_key: { on_delete: :cascade }, index: { unique: true }
      # What it was checked against: profile, lists, termbases.
      t.string :stamp, null: false
      # What was checked of it, see Project::Looking.
      t.text :seen, null: false
      t.json :findings, null: false, default: []
      # Terms and how they were put.
      t.json :terms, null: false, default: []
    end
    create_table :let_stands do |t|
      t.references :project, foreign_key: true
      t.references :client, foreign_key: { on_delete: :cascade }
      t.references :segment, foreign_key: { on_delete: :cascade }
      t.references :user, foreign_key: { on_delete: :nullify }
      t.string :author, null: false
      t.string :code, null: false
      # What it is about: the finding in this wording of source and target, or all like it in the project or
      # for the client.
      t.string :digest, null: false
      t.string :message, null: false, default: ""
      t.text :reason, null: false, default: ""
      t.timestamps
    end
    add_index :let_stands, %i[project_id digest], unique: true
    add_index :let_stands, %i[client_id digest], unique: true
    add_column :clients, :check_profile, :json
    add_column :projects, :check_profile, :json
    # The look at a whole text that is going on: token, done, total, at.
    add_column :projects, :check_run, :json
    # What the checks said when it was delivered.
    add_column :deliveries, :checks, :json
  end
end

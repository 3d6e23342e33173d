# By which version of the readers the segments of a file were found; none where the file is to be read again.
class AddReaderVersionToDocuments < ActiveRecord::Migration[7.2]
  def change
    add_column :documents, :reader_version, :integer
    reversible do |direction|
      direction.up { execute "UPDATE documents SET reader_version = 1 WHERE state = 'ready'" }
    end
  end
end

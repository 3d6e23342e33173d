# Changing a termbase: every change is an operation that can be undone, counts the revision up and is
# announced to the pages that show its terms.
module Termbase::Changing
  extend ActiveSupport::Concern

  # Changes entries at once, as an operation of a kind (a class of Operations). Yields a recorder; returns the
  # operation.
  def record_change(kind, by: nil, summary: "")
    made =
      with_lock do
        operation = kind.record(self, by: by, summary: summary)
        recorder = Recorder.new(self, operation, next_revision, by)
        yield recorder
        operation.note("count" => recorder.count)
        operation
      end
    announce_change
    made
  end

  def next_revision = increment!(:revision).revision

  # Tells the open pages of all projects that use it.
  def announce_change
    attachments.includes(:project).find_each { |row| row.project.announce("terms") }
  end

  # Away with it; for a while it can be brought back.
  def move_to_trash
    update!(deleted_at: Time.current)
    announce_change
  end

  def bring_back
    if user.termbases.present.where(name: name).where.not(id: id).exists?
      raise Glossema::Refused.new("name-taken", name: name)
    end

    update!(deleted_at: nil)
    announce_change
  end

  # For good, with all it holds.
  def purge
    entries.in_batches(of: 50) do |batch|
      ids = batch.ids
      ShortTransaction.run do
        TermEntryVersion.where(term_entry_id: ids).delete_all
        Term.where(term_entry_id: ids).delete_all
        TermEntry.where(id: ids).delete_all
      end
      ShortTransaction.pause
    end
    candidates.delete_all
    operations.find_each(&:purge)
    destroy!
  end

  # Writes entries for an operation, noting how each was before.
  class Recorder
    attr_reader :count

    def initialize(termbase, operation, revision, person)
      @termbase, @operation, @revision, @by = termbase, operation, revision, person&.name
      @count = 0
    end

    # entry: Glossema::Terms::Entry. Returns the record.
    def add(entry)
      record = @termbase.entries.create!(data: entry.to_data, author: @by, changed_by: @by,
        revision: @revision)
      note(record, nil)
      record
    end

    # entries: array of Glossema::Terms::Entry, all of them with a term. Returns the ids of the records.
    def add_all(entries)
      return [] if entries.empty?

      rows = entries.map { |entry| row(entry) }
      ids = TermEntry.insert_all!(rows, returning: :id, record_timestamps: true).rows.flatten
      Term.insert_all!(TermEntry.where(id: ids).flat_map { |record| Term.rows(record) })
      versions = ids.map { |id| { operation_id: @operation.id, term_entry_id: id, data: nil } }
      TermEntryVersion.insert_all!(versions)
      @count += ids.size
      ids
    end

    def change(record, entry)
      before = record.data
      return record if entry.to_data == before

      record.update!(data: entry.to_data, changed_by: @by, revision: @revision)
      note(record, before)
      record
    end

    def delete(record)
      note(record, record.data)
      record.update!(deleted_at: Time.current, revision: @revision)
    end

    private

    def row(entry)
      data = entry.to_data
      { termbase_id: @termbase.id, data: data, subject: data["subject"], author: @by, changed_by: @by,
        revision: @revision }
    end

    def note(record, data)
      @count += 1
      @operation.entry_versions.create!(entry: record, data: data)
    end
  end
end

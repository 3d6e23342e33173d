# Entries of a file come into a termbase. input: "way" (of Termbase::Import::WAYS), "roles" of the columns of
# a table. What one that was cancelled had brought stays until it is undone.
class Operations::TermImport < Operation
  include Operation::RevertsEntries

  self.reads_files = true
  self.default_weight = "bulk"

  # Files of so many bytes are read while the request waits.
  AT_ONCE = 10_000

  # bytes, name: of a TBX file or table. Raises Refused for what cannot be read at all.
  def self.of_file(termbase, bytes, name, by:, way: "id", roles: nil)
    way = "id" unless Termbase::Import::WAYS.include?(way)
    start(termbase, by: by, summary: name, files: [{ io: StringIO.new(bytes), filename: name }],
      input: { "way" => way, "roles" => roles, "bytes" => bytes.bytesize })
  end

  def perform = Termbase::Import.new(self).run

  def heavy?
    much = undoing? ? { segments: entry_versions.count } : { bytes: bytes }
    Operation::ChildProcess.worth?(**much)
  end

  def shown_result = result.slice("read", "added", "merged", "same", "faults", "count", "kept")

  # Millions of units and entries are read as they come.
  def seconds_to_read = 60 * super

  private

  def bytes = input["bytes"].to_i
  def small? = undoing? ? super : bytes <= AT_ONCE
end

# The kinds of operations: a file each in operations/, found by its name.
module Operations
  FOLDER = File.join(__dir__, "operations")

  class << self
    # Their names, as they stand in the database.
    def kinds = @kinds ||= Dir.children(FOLDER).map { |file| File.basename(file, ".rb") }.sort

    # Those that are shown in Activity.
    def listed_kinds
      @listed_kinds ||= kinds.select { |kind| const_get(kind.camelize, false).in_activity }
    end
  end
end

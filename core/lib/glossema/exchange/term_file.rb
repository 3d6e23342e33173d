# A termbase as a file, whatever its kind: TBX or a table.
module Glossema
  module Exchange
    module TermFile
      module_function

      # bytes, name: of the file; languages: to guess the columns of a table by; roles: of its columns, see
      # TermTable. Yields each Terms::Entry with how far the file is read (0 to 1). Returns {head: (of TBX,
      # see Tbx), faults: [ElementStream::Fault]}. Raises Refused.
      def read(bytes, name:, languages: [], roles: nil)
        if tbx?(bytes, name)
          return Tbx.read(bytes, name: name) { |entry, at|
            yield entry, at / bytes.bytesize.to_f
          }.except(:read)
        end

        table = TermTable.new(bytes, name, languages)
        faults = table.each_entry(roles || table.roles) { |entry, row| yield entry, row / table.size.to_f }
        { head: {}, faults: faults }
      end

      def tbx?(bytes, name)
        name.downcase.end_with?(".tbx") || bytes[0, 2000].delete("\0").match?(/<(?:tbx|martif)[\s>]/n)
      end
    end
  end
end

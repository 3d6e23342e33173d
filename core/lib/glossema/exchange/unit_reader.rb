# Reads the units of an exchange file and works out what a memory keeps of each besides, so that a process of
# its own can do it while another one stores them.
module Glossema
  module Exchange
    class UnitReader
      SLICE = 1000
      # Texts that are longer than this are no units.
      LONGEST = 20_000
      # What a reading comes to: skipped units, faults (the first so many, as hashes), how many faults.
      Result = Struct.new(:skipped, :faults, :faulty)
      FAULTS = 50
      # One unit. identity: of its source, as in Matching::Score; entry: of the index, as in Matching::Grams;
      # plain: source and target without codes; the rest as in Tmx::Pair.
      Row = Struct.new(:source, :target, :identity, :entry, :attributes, :codes, :extra, :plain)

      # languages: [source tag, target tag]; columns: options for tables.
      def initialize(io, name, languages, columns = {})
        @packed = Unpacked.packed?(io)
        @io = @packed ? Unpacked.new(io, name) : io
        @name = @packed ? Unpacked.name_of(name) : name
        @languages, @columns = languages, columns
        @skipped = 0
      end

      # Yields arrays of Row and how many bytes of the file were read by then. Returns a Result. Raises
      # Refused when nothing can be read.
      def each_slice
        waiting, at = [], 0
        result =
          each_pair do |pair, read|
            row = row(pair) or next
            waiting << row
            at = @packed ? @io.done : read
            next if waiting.size < SLICE

            yield waiting, at
            waiting = []
          end
        yield waiting, at if waiting.any?
        result
      end

      private

      # Units of TMX as they are; of any other file with both languages those of its segments.
      def each_pair(&block)
        head = @io.read(400).to_s
        @io.rewind
        unless @name.downcase.end_with?(".tmx") || head.delete("\0").include?("<tmx")
          return each_of_document(&block)
        end

        found = Tmx.read(@io, name: @name, source_lang: @languages[0], target_lang: @languages[1], &block)
        Result.new(@skipped + found[:skipped], found[:faults].first(FAULTS).map(&:to_h), found[:faults].size)
      end

      def each_of_document
        bytes = @io.read
        document =
          Document.new(
            bytes,
            name: @name,
            language: @languages[0],
            options: @columns.empty? ? guessed(bytes) : @columns
          )
        unless document.bilingual?
          raise Refused.new("not-bilingual", name: @name)
        end

        document.segments.each_with_index do |segment, index|
          next @skipped += 1 if segment.target.nil? || segment.target.blank? || segment.content.blank?

          attributes = { "file" => @name, "key" => segment.unit.key.to_s }.reject { |_, value| value.empty? }
          yield(
            Tmx::Pair.new(
              source: segment.content.written,
              target: segment.target.written,
              attributes: attributes
            ),
            bytes.bytesize * index / document.segments.size
          )
        end
        dropped = document.file.respond_to?(:dropped) ? document.file.dropped : []
        Result.new(@skipped, dropped.first(FAULTS).map { |row| fault(row) }, dropped.size)
      end

      # A row of a table that gave no unit.
      def fault(dropped)
        sentence = Refused.new("unit-dropped.#{dropped.reason}", text: dropped.text).message
        { line: dropped.row, message: sentence }
      end

      # The columns of a table, where it is one; whatever else it is says it itself.
      def guessed(bytes)
        found = TableColumns.new(bytes, @name, @languages).to_h
        if found[:source] && found[:target]
          { "source_column" => found[:source], "target_column" => found[:target] }
        else
          {}
        end
      rescue Refused => e
        %w[no-table table-empty].include?(e.code) ? {} : raise
      end

      # nil for what is no unit.
      def row(pair)
        return (@skipped += 1) && nil if pair.source.length > LONGEST || pair.target.length > LONGEST

        plain = [pair.source, pair.target].map { |text| Content.plain(text) }
        coded = pair.source.match?(/[{\\]/)
        Row.new(
          pair.source,
          pair.target,
          Matching::Score.identity(coded ? Content.from_written(pair.source) : pair.source),
          Matching::Grams.entry(plain[0]),
          pair.attributes,
          pair.codes,
          pair.extra,
          plain
        )
      end
    end
  end
end

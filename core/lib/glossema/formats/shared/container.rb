# ZIP files as documents use them: read within bounds, written back with untouched parts copied as they were.
# Loaded when the first archive is opened: commands on plain text start sooner.
autoload :Zip, "zip"
require "glossema/formats/shared/guarded_xml"

module Glossema
  module Formats
    class Container
      MAX_UNPACKED = 600 * 1024 * 1024
      MAX_RATIO = 250
      MAX_ENTRIES = 20_000
      OLE = "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".b.freeze

      def self.zip?(bytes) = bytes.start_with?("PK\x03\x04".b)

      # An office file with a password is an OLE compound; so is the old binary format.
      def self.refuse_locked(bytes, name)
        return unless bytes.start_with?(OLE)

        if bytes.include?("E\0n\0c\0r\0y\0p\0t".b)
          raise Refused.new(
            "locked.password", name: name
          )
        end

        raise Refused.new(
          "format-old", name: name
        )
      end

      attr_reader :name, :bytes

      def initialize(bytes, name)
        @name = name
        @bytes = bytes.b
        @cache = {}
        @zip = Zip::File.open_buffer(StringIO.new(@bytes))
        check
      rescue Zip::Error, Zlib::Error, ArgumentError, EOFError, NoMethodError, TypeError, RangeError
        raise Refused.new(
          "damaged.archive", name: name
        )
      end

      def entries = @zip.entries.map(&:name)
      def entry?(path) = !@zip.find_entry(path).nil?

      # The bytes of a part, or nil. Raises Refused "damaged" when it does not unpack to what the archive
      # says.
      def read(path)
        return @cache[path] if @cache.key?(path)

        entry = @zip.find_entry(path)
        @cache[path] = entry && unpack(entry)
      end

      # A part as XML. Raises Refused for broken XML and for declarations of its own, which no such file may
      # carry; the name of a document type alone is harmless.
      def xml(path)
        bytes = read(path) or return nil
        GuardedXml.parse(bytes)
      rescue GuardedXml::Declares
        raise Refused.new("hostile.type-declaration", name: name, path: path)
      rescue Nokogiri::XML::SyntaxError => e
        raise Refused.new(
          "damaged.part", name: name, path: path, place: Refusals.place(e)
        )
      end

      # changes: {path => bytes}. All other entries are copied raw, in their order.
      def write(changes)
        out =
          Zip::OutputStream.write_buffer(StringIO.new("".b)) do |stream|
            @zip.entries.each do |entry|
              if changes.key?(entry.name)
                stream.put_next_entry(
                  Zip::Entry.new(
                    "-",
                    entry.name,
                    compression_method: entry.compression_method,
                    time: entry.time
                  )
                )
                stream.write(changes[entry.name])
              else
                stream.copy_raw_entry(with_sizes_ahead(entry))
              end
            end
          end
        out.string
      end

      private

      # An entry may keep its sizes behind its data, which the copy leaves out: it has them ahead, and has to
      # say so.
      SIZES_BEHIND = 8

      def with_sizes_ahead(entry) = entry.dup.tap { |copy| copy.gp_flags &= ~SIZES_BEHIND }

      def check
        list = @zip.entries
        raise Refused.new("damaged.empty-archive", name: name) if list.empty?
        if list.size > MAX_ENTRIES
          raise Refused.new("hostile.parts", name: name, parts: list.size)
        end

        total = 0
        list.each do |entry|
          if entry.encrypted?
            raise Refused.new(
              "locked.password", name: name
            )
          end
          if entry.name.start_with?("/") || entry.name.split(%r{[/\\]}).include?("..")
            raise Refused.new(
              "hostile.path-outside", name: name, path: entry.name[0, 60]
            )
          end

          total += entry.size
          if total > MAX_UNPACKED ||
              (entry.size > 10_000_000 && entry.size > entry.compressed_size * MAX_RATIO)
            too_big
          end
        end
      end

      # Sizes in the archive may lie, so reading stops where they would be passed.
      def unpack(entry)
        out = "".b
        return out if entry.directory?

        input = entry.get_input_stream
        while (chunk = input.read(1 << 20)) && !chunk.empty?
          out << chunk
          too_big if out.bytesize > entry.size + (1 << 20) || out.bytesize > MAX_UNPACKED
        end
        if out.bytesize != entry.size || (entry.crc != 0 && Zlib.crc32(out) != entry.crc)
          raise Refused.new(
            "damaged.entry-other", name: name, path: entry.name
          )
        end

        out
      rescue Zip::Error, Zlib::Error, EOFError
        raise Refused.new(
          "damaged.entry", name: name, path: entry.name
        )
      end

      def too_big
        raise Refused.new(
          "hostile.unpacks-to-more", name: name
        )
      end
    end
  end
end

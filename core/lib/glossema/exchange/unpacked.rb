# A file that gzip has packed, read as what is in it, piece by piece.
require "zlib"

module Glossema
  module Exchange
    class Unpacked
      MAGIC = "\x1F\x8B".b.freeze
      # What is read whole may grow to so many bytes.
      LARGEST = 1 << 30

      def self.packed?(io)
        head = io.read(2)
        io.rewind
        head == MAGIC
      end

      # The name of what is in a packed file.
      def self.name_of(name) = name.sub(/\.gz\z/i, "")

      # io: the packed file, which can be rewound.
      def initialize(io, name)
        @io, @name = io, name
        rewind
      end

      # How far in the packed file this has come, in bytes.
      def done = @io.pos

      def rewind
        @io.rewind
        @part = opened
      end

      # As IO#read. Raises Refused "damaged.archive" and "hostile.growing".
      def read(size = nil)
        return whole unless size

        out = +"".b
        while out.bytesize < size && @part
          piece = @part.read(size - out.bytesize)
          piece ? out << piece : following
        end
        out unless out.empty? && size.positive?
      rescue Zlib::Error, EOFError
        raise Refused.new("damaged.archive", name: @name)
      end

      private

      def whole
        out = +"".b
        while (piece = read(1 << 20))
          out << piece
          raise Refused.new("hostile.growing", name: @name) if out.bytesize > LARGEST
        end
        out
      end

      # A file may consist of several packed ones, one behind the other.
      def following
        rest = @part.unused
        @io.pos -= rest.bytesize if rest
        @part = @io.eof? ? nil : opened
      end

      def opened
        Zlib::GzipReader.new(@io)
      rescue Zlib::Error
        raise Refused.new("damaged.archive", name: @name)
      end
    end
  end
end

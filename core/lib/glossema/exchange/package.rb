# A hand-over or hand-back: a ZIP of open parts with a manifest that names each with its checksum. See
# docs/hand-over.md.
require "digest"
require "json"
require "zip"

module Glossema
  module Exchange
    class Package
      FORMAT = 1
      KINDS = %w[hand-over hand-back archive].freeze
      MANIFEST = "manifest.json".freeze
      SHAPE = DataShape::Whole.new({
        "glossema" => DataShape::Whole.new({ "format" => :integer, "kind" => :text }),
        "parts" => DataShape::Each.new(:text)
      }).freeze

      # kind: of KINDS; about: what the manifest says besides; parts: {path => bytes}. Returns the ZIP.
      def self.write(kind, about, parts)
        sums = parts.transform_values { |bytes| Digest::SHA256.hexdigest(bytes) }
        manifest = { "glossema" => { "format" => FORMAT, "kind" => kind }, **about, "parts" => sums }
        all = { MANIFEST => JSON.pretty_generate(manifest), **parts }
        Zip::OutputStream.write_buffer { |zip|
          all.each do |path, bytes|
            zip.put_next_entry(path)
            zip.write(bytes)
          end
        }.string
      end

      # Is this a ZIP with a manifest of ours?
      def self.package?(bytes)
        return false unless bytes.start_with?("PK".b)

        Zip::File.open_buffer(StringIO.new(bytes)).find_entry(MANIFEST) ? true : false
      rescue Zip::Error
        false
      end

      attr_reader :kind, :about

      # Raises Refused "package-none", "package-newer", "package-altered", and what unpacking refuses.
      def initialize(bytes, name)
        @name = name
        @container = Formats::Container.new(bytes, name)
        manifest = read_manifest
        @kind = manifest.dig("glossema", "kind")
        raise refused("none") unless KINDS.include?(@kind)

        @about = manifest.except("glossema", "parts")
        @parts = checked(manifest.fetch("parts", {}))
      end

      # path → bytes. Raises Refused "package-altered" for one that the manifest does not name.
      def part(path) = @parts.fetch(path) { raise refused("altered", path: path) }
      def paths = @parts.keys

      private

      def refused(code, **details) = Refused.new("package-#{code}", name: @name, **details)

      def read_manifest
        text = @container.read(MANIFEST) or raise refused("none")
        manifest = JSON.parse(text.dup.force_encoding("UTF-8"))
        raise refused("none") unless DataShape.fits?(SHAPE, manifest)
        raise refused("newer") if manifest["glossema"]["format"] > FORMAT

        manifest
      rescue JSON::ParserError, EncodingError
        raise refused("none")
      end

      def checked(sums)
        sums.to_h do |path, sum|
          bytes = @container.read(path) or raise refused("altered", path: path)
          raise refused("altered", path: path) unless Digest::SHA256.hexdigest(bytes) == sum

          [path, bytes]
        end
      end
    end
  end
end

# EPUB: its pages in reading order, its contents, its title and description. Pages are read as HTML is.
require "cgi"
require "glossema/formats/markup/xml"

module Glossema
  module Formats
    class Epub
      include Turning
      Formats.announce(self, rank: 12)

      NAME = "EPUB".freeze
      EXTENSIONS = %w[epub].freeze
      MEDIA_TYPE = "application/epub+zip".freeze
      DEFAULTS = { "attributes" => true, "title" => true }.freeze
      CONTAINER = "META-INF/container.xml".freeze

      # The package file; it names the language and the direction of pages too.
      class Opf < Xml
        # Which way the book is turned when it is written: :rtl, :ltr or nil.
        attr_writer :turn

        def settle
          super
          node = tree.every("language").first
          @language_at = node && [node.open_to, node.inner_to]
          @free << @language_at if @language_at
          spine = tree.every("spine").first
          @pages = DirectedTag.new(spine, "page-progression-direction") if spine
          @free << @pages.at if @pages&.at
        end

        def further_edits(_contents, target_language)
          language = target_language && @language_at ? [[*@language_at, target_language]] : []
          language + (@pages ? @pages.edits(@turn) : [])
        end

        def source_language =
          @language_at && slice(*@language_at).strip.then { |tag| tag if Languages.valid?(tag) }
      end

      def self.recognises?(bytes, name)
        return false unless Container.zip?(bytes)

        container = Container.new(bytes, name)
        container.read("mimetype").to_s.start_with?(MEDIA_TYPE) ||
          (container.entry?(CONTAINER) && container.read(CONTAINER).include?("oebps-package"))
      end

      def self.read(bytes, name:, options: {}) = new(bytes, name, options)

      attr_reader :units, :options, :container

      def initialize(bytes, name, options)
        @name, @options = name, Formats.defaults(self.class).merge(options)
        @container = Container.new(bytes, name)
        refuse_locked
        @root = container.xml(CONTAINER)&.at_xpath("//*[local-name()='rootfile']/@full-path")&.value
        unless @root && container.entry?(@root)
          raise Refused.new("damaged.no-package-file", name: name)
        end

        @parts = parts
        @units =
          @parts.each_with_index.flat_map do |(path, file), index|
            file.units.map { |unit| renamed(unit, index, path) }
          end
      end

      def bilingual? = false

      def source_language =
        @parts.find { |path, _| path == @root }&.last&.source_language || @opf.source_language

      def write(contents, target_language: nil, **)
        return container.bytes if contents.empty?

        @opf.turn = turn_for(target_language)
        by_part = contents.group_by { |id, _| id[/\Ap(\d+)-/, 1].to_i }
        changes =
          by_part.to_h do |index, list|
            path, file = @parts[index]
            [
              path,
              file.write(
                list.to_h { |id, content| [id.sub(/\Ap\d+-/, ""), content] },
                target_language: target_language
              )
            ]
          end
        changes[@root] ||= @opf.write({ nil => nil }, target_language: target_language) if target_language
        container.write(changes)
      end

      def preview(&block)
        at = -1
        units_by_part = units.group_by { |unit| unit.id[/\Ap(\d+)-/, 1].to_i }
        @parts
          .map do |path, file|
            own = units_by_part.fetch(at += 1, []).to_h { |unit| [unit.id.sub(/\Ap\d+-/, ""), unit] }
            if path.match?(/\.(?:opf|ncx)\z/)
              ""
            else
              "<section>#{file.preview { |unit| block.call(own.fetch(unit.id)) }}</section>"
            end
          end
          .join("\n")
      end

      def untouched(other)
        return ["the list of parts"] if container.entries != other.container.entries

        textual = @parts.to_h
        container.entries.reject do |path|
          container.read(path) == other.container.read(path) ||
            (textual[path] && textual[path].untouched(other.part(path)).empty?) ||
            (path == @root && @opf.untouched(other.opf).empty?)
        end
      end

      def part(path) = @parts.to_h[path]

      attr_reader :opf

      private

      # A book whose pages are enciphered; fonts may be.
      def refuse_locked
        return unless container.entry?("META-INF/encryption.xml")

        targets =
          container
            .xml("META-INF/encryption.xml")
            .xpath("//*[local-name()='CipherReference']/@URI")
            .map(&:value)
        if targets.any? { |uri| uri.match?(/\.x?html?\z/i) }
          raise Refused.new("locked.publisher", name: @name)
        end
      end

      def renamed(unit, index, path)
        unit.dup.tap do |copy|
          copy.id = "p#{index}-#{unit.id}"
          copy.location = unit.location.merge("within" => Location.named(File.basename(path)))
          copy.block = "title" if path == @root
        end
      end

      # Pages in the order of reading, then what is shown beside them.
      def parts
        @opf = Opf.new(container.read(@root), File.basename(@root), { "preset" => "opf" })
        folder = File.dirname(@root)
        manifest = @opf.tree.every("item").to_h { |item| [item["id"], item] }
        full = ->(item) do
          File.expand_path(
            CGI.unescape(item["href"].to_s.split("#").first.to_s),
            "/#{folder == "." ? "" : folder}"
          )[
            1..
          ]
        end
        spine = @opf.tree.every("itemref").filter_map { |reference| manifest[reference["idref"]] }
        pages =
          (spine + manifest.values.select { |item| item["properties"].to_s.include?("nav") })
            .uniq
            .select { |item| item["media-type"].to_s.include?("html") }
        list =
          pages
            .map { |item| full.call(item) }
            .select { |path| container.entry?(path) }
            .map { |path| [path, page_at(path)] }
        list.concat(
          manifest
            .values
            .select { |item| item["media-type"] == "application/x-dtbncx+xml" }
            .map { |item| full.call(item) }
            .select { |path| container.entry?(path) }
            .map { |path| [path, Xml.new(container.read(path), File.basename(path), { "preset" => "ncx" })] }
        )
        @options["title"] ? list << [@root, @opf] : list
      end

      def page_at(path)
        page = Html5.new(container.read(path), File.basename(path),
          { "attributes" => @options["attributes"] })
        page.beside = ->(source) do
          file = CGI.unescape(source.split(/[?#]/).first.to_s)
          container.read(File.expand_path(file, "/#{File.dirname(path)}").delete_prefix("/"))
        end
        page
      end
    end
  end
end

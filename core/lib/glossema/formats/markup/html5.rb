# HTML: texts between block elements; titles, alternative texts, placeholders and the like; by option the
# keywords of the page. Scripts, styles and what says translate="no" stay.
module Glossema
  module Formats
    class Html5 < MarkedFile
      include Turning
      Formats.announce(self, rank: 30)

      NAME = "HTML".freeze
      EXTENSIONS = %w[html htm xhtml xht shtml].freeze
      MEDIA_TYPE = "text/html".freeze
      DEFAULTS = { "attributes" => true, "meta" => true, "encoding" => "" }.freeze

      VOID = Markup::VOID
      BLOCKS =
        (
          Markup::BLOCKS +
            %w[
              html head body li dt dd td th tr thead tbody tfoot caption colgroup col legend summary
              figcaption option optgroup select title meta link base noscript template frameset frame
              datalist textarea track source param isindex search canvas text desc g defs symbol metadata
            ]
        ).to_h { |name| [name, true] }.freeze
      SKIPPED = %w[script style iframe noembed noframes math].freeze
      # Skipped things that do not stand in a line of text.
      NOT_IN_LINE = %w[style noembed noframes].freeze
      LOOKS = {
        "b" => "bold",
        "strong" => "bold",
        "i" => "italic",
        "em" => "italic",
        "cite" => "italic",
        "dfn" => "italic",
        "var" => "italic",
        "u" => "underline",
        "ins" => "underline",
        "s" => "strike",
        "strike" => "strike",
        "del" => "strike",
        "sup" => "super",
        "sub" => "sub",
        "code" => "mono",
        "kbd" => "mono",
        "samp" => "mono",
        "tt" => "mono",
        "a" => "link"
      }.freeze
      MERGING = %w[b strong i em u s strike sup sub code span font small big tt].freeze
      ATTRIBUTES = %w[
        title alt placeholder label summary aria-label aria-description aria-placeholder aria-roledescription
        aria-valuetext abbr standby
      ].freeze
      BUTTONS = %w[submit button reset].freeze
      META =
        /\A(?:description|keywords|author|(?:og|twitter):(?:title|description|site_name|image:alt)|apple-mobile-web-app-title|application-name|dc\.(?:title|description|subject)|dcterms\.(?:title|description))\z/i
      PAGE =
        %w[
          h1 h2 h3 h4 h5 h6 p ul ol li dl dt dd table thead tbody tfoot tr td th caption blockquote pre
          figure figcaption
        ].to_h { |name| [name, true] }.freeze
      LEVELS = (1..6).to_h { |level| ["h#{level}", "heading-#{level}"] }.freeze
      NAMES = {
        "li" => "list-item",
        "dt" => "list-item",
        "dd" => "list-item",
        "td" => "cell",
        "th" => "cell",
        "title" => "title",
        "caption" => "cell",
        "p" => "paragraph",
        "div" => "paragraph",
        "section" => "paragraph",
        "option" => "list-item",
        "body" => "paragraph",
        "pre" => "paragraph"
      }.merge(LEVELS).freeze

      def self.recognises?(bytes, name)
        return false unless EncodedText.text?(bytes)

        head = EncodedText.head(bytes)
        return false if head.match?(/\A\s*<\?xml/) && !head.match?(/<html\b/i)

        head.match?(/\A\s*(?:<!--.*?-->\s*|<\?xml[^>]*>\s*)*<(?:!doctype\s+html|html\b)/mi) ||
          (ending?(name) && head.match?(/<[a-z!]/i)) || (ending?(name) && !head.match?(/[{}]{5}/))
      end

      def source_language = (tag = root_language&.first) && canonical(tag)

      private

      # XHTML is read as the XML it is, when it is.
      def html? =
        @html ||=
          (
            if @text.match?(%r{<html\b[^>]*xmlns\s*=\s*["']http://www.w3.org/1999/xhtml}) && well_formed?
              :xhtml
            else
              true
            end
          )

      def well_formed?
        Nokogiri.XML(
          @text.gsub(/&(?!(?:amp|lt|gt|quot|apos);)[A-Za-z][A-Za-z0-9]*;/, " "),
          nil,
          "UTF-8"
        ) { |config| config.strict.nonet }
        true
      rescue Nokogiri::XML::SyntaxError
        false
      end

      def forgives_encoding? = true

      # What calls itself XML is held to it; of other pages browsers make what they can, and so do we.
      def prepare
        return unless @text.match?(/\A\s*<\?xml/)

        Xml.refuse_hostile(Nokogiri.XML(@text, nil, "UTF-8") { |config| config.recover.nonet }, @name)
      end

      def bookmark?(node)
        %w[a span].include?(node.name) && node.children.empty? && !node.attributes.key?("href") &&
          (node.attributes.key?("id") || node.attributes.key?("name")) && !node.attributes.key?("class")
      end

      def root = @root ||= tree.elements.find { |node| node.name == "html" }
      def root_language = root && (root.attributes["lang"] || root.attributes["xml:lang"])

      # Scripts are written with a capital, regions in capitals.
      SUBTAG_CASES = { 4 => :capitalize.to_proc, 2 => :upcase.to_proc }.freeze

      def canonical(tag)
        parts = tag.tr("_", "-").split("-")
        found = [
          parts.first.to_s.downcase,
          *parts
            .drop(1)
            .map { |part| SUBTAG_CASES.fetch(part.length, :itself.to_proc).call(part) }
        ].join("-")
        found if Languages.valid?(found)
      end

      def settle
        return unless root

        %w[lang xml:lang].each { |name| root.attributes[name]&.then { |_, from, to| @free << [from, to] } }
        @free << direction.at if direction.at
      end

      # Where the page says which way it runs.
      def direction = @direction ||= DirectedTag.new(root, "dir")

      # The page says which language it is in now.
      def further_edits(_contents, target_language)
        return [] unless target_language && root

        languages =
          %w[lang xml:lang].filter_map do |name|
            root.attributes[name]&.then { |_, from, to| [from, to, target_language] }
          end
        languages + direction.edits(turn_for(target_language))
      end

      def role(node)
        return :skip if SKIPPED.include?(node.name)

        BLOCKS[node.name] ? :block : :inline
      end

      def block_skip?(node) =
        NOT_IN_LINE.include?(node.name) || (node.name == "script" && node.parent.name == "head")

      def opaque?(node) = node.name == "svg" && !node.inner_text.match?(/\p{L}/)

      def inline?(node)
        return false if node.name == "svg" && !opaque?(node)

        super
      end

      def translatable?(node, inherited)
        case node["translate"]
        when "no"
          false
        when "yes", ""
          true
        else
          node["class"].to_s.split.include?("notranslate") ? false : inherited
        end
      end

      def preserves?(node, inherited) = %w[pre textarea xmp listing].include?(node.name) || inherited

      def attribute_names(node)
        return [] unless @options["attributes"]
        if node.name == "meta"
          return (
            (
              if @options["meta"] &&
                   [node["name"], node["property"], node["itemprop"]].any? { |name| name.to_s.match?(META) }
                %w[content]
              else
                []
              end
            )
          )
        end

        names = ATTRIBUTES.select { |name| node.attributes.key?(name) }
        names << "value" if node.name == "input" && BUTTONS.include?(node["type"].to_s.downcase)
        names.delete("label") unless %w[option optgroup track].include?(node.name)
        names
      end

      def look(node) = LOOKS.fetch(node.name, "")
      def merges?(node) = MERGING.include?(node.name)
      def line_break?(node) = node.name == "br"

      def display(node) =
        { "br" => "line break", "img" => "picture", "wbr" => "break point" }.fetch(node.name) { super }

      def block_name(node, context) = NAMES.fetch(node.name, context.block)

      def location(node, context)
        return Location.new("page-title") if node.name == "title"

        context.location unless PAGE[node.name]
      end

      def page_unit(html, unit, parent)
        return "" if unit.block == "title"

        if PAGE[parent.name] && parent.name !~ /\A(?:ul|ol|dl|table|tr|tbody|thead|tfoot|blockquote|figure)\z/
          html
        else
          "<p>#{html}</p>"
        end
      end

      def page_block(node, inner)
        return inner unless PAGE[node.name]

        spans =
          (
            if node.name.match?(/\At[dh]\z/)
              %w[colspan rowspan]
                .map { |name| (value = node[name].to_s[/\A\d+\z/]) ? " #{name}=\"#{value}\"" : "" }
                .join
            else
              ""
            end
          )
        "<#{node.name}#{spans}>#{inner}</#{node.name}>"
      end
    end
  end
end

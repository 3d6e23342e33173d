# XML by ITS 2.0 rules: presets for known vocabularies, rules handed over with the option "rules", rules
# written in the document. Where nothing says which elements stand within text, those do that share a parent
# with running text.
module Glossema
  module Formats
    class Xml < MarkedFile
      Formats.announce(self, rank: 32)

      NAME = "XML".freeze
      EXTENSIONS = %w[xml dita ditamap docbook dbk svg resx resw].freeze
      MEDIA_TYPE = "application/xml".freeze
      DEFAULTS = { "rules" => "", "preset" => Inner.new(""), "encoding" => "" }.freeze
      PRESETS = {
        "dita" => %w[
          topic concept task reference troubleshooting glossentry glossgroup map bookmap dita learningContent
          subjectScheme
        ],
        "docbook" => %w[
          article book chapter section part set appendix preface refentry sect1 sect2 sect3 glossary topic-db
        ],
        "resx" => %w[root],
        "android" => %w[resources],
        "svg" => %w[svg],
        "ttml" => %w[tt]
      }.freeze
      DOCBOOK = "http://docbook.org/ns/docbook".freeze
      DITA_ARCH = /ditaarch|DTD DITA|dita-ot|DITAArchVersion/i
      LOOKS = {
        "b" => "bold",
        "strong" => "bold",
        "i" => "italic",
        "em" => "italic",
        "emphasis" => "italic",
        "u" => "underline",
        "sup" => "super",
        "superscript" => "super",
        "sub" => "sub",
        "subscript" => "sub",
        "tt" => "mono",
        "codeph" => "mono",
        "code" => "mono",
        "literal" => "mono",
        "filepath" => "mono",
        "filename" => "mono",
        "command" => "mono",
        "cite" => "italic",
        "xref" => "link",
        "link" => "link",
        "ulink" => "link",
        "a" => "link",
        "uicontrol" => "bold",
        "guilabel" => "bold"
      }.freeze

      def self.recognises?(bytes, name)
        return false unless EncodedText.text?(bytes)

        head = EncodedText.head(bytes)
        head.match?(/\A\s*<\?xml\b/) || (ending?(name) && head.match?(/\A\s*</))
      end

      # Kinds of declared entities that stand outside the file, as the parser counts them.
      OUTSIDE = [Nokogiri::XML::EntityDecl::EXTERNAL_GENERAL_PARSED,
                 Nokogiri::XML::EntityDecl::EXTERNAL_GENERAL_UNPARSED].freeze
      HARMLESS = /&(?:#\w+|amp|lt|gt|quot|apos);/

      # Refuses what no document needs: entities from elsewhere, or made of others. dom: as the parser has
      # read it.
      def self.refuse_hostile(dom, name)
        declared = dom.internal_subset&.children.to_a.grep(Nokogiri::XML::EntityDecl)
        if declared.any? { |entity| OUTSIDE.include?(entity.entity_type) }
          raise Refused.new("hostile.entities-outside", name: name)
        end
        return if declared.none? { |entity|
          entity.original_content.to_s.gsub(HARMLESS, "").match?(/[&%][\w:]/)
        }

        raise Refused.new("hostile.entities-of-entities", name: name)
      end

      def source_language
        tag = @dom.root.attribute_with_ns("lang", "http://www.w3.org/XML/1998/namespace")&.value
        tag if tag && Languages.valid?(tag)
      end

      # The preset that holds for this document, or nil.
      def preset
        return @options["preset"] unless @options["preset"].to_s.empty?

        name, head = @dom.root.name, @text[0, 3000]
        return "docbook" if @dom.root.namespace&.href == DOCBOOK || head.match?(/DTD DocBook/i)
        if PRESETS["dita"].include?(name) &&
            (
              head.match?(DITA_ARCH) || File.extname(@name).match?(/dita/i) ||
                @dom.at_xpath("/*[self::topic or self::task or self::concept or self::reference]/title")
            )
          return "dita"
        end
        return "resx" if name == "root" && @dom.at_xpath("/root/data/value")
        return name == "tt" ? "ttml" : name if %w[svg tt].include?(name)

        PRESETS["docbook"].include?(name) && @dom.at_xpath("//para | //title") ? "docbook" : nil
      end

      private

      def prepare
        # As libxml sees it: the text is UTF-8 now, whatever it says.
        @dom = Nokogiri.XML(@text, nil, "UTF-8") { |config| config.strict.nonet }
        self.class.refuse_hostile(@dom, @name)
        raise Refused.new("damaged.no-root", name: @name) unless @dom.root
      rescue Nokogiri::XML::SyntaxError => e
        if e.message.match?(/entity reference loop|amplification|excessive depth/i)
          raise Refused.new("hostile.growing", name: @name)
        end

        raise Refused.new("damaged.xml", name: @name, place: Refusals.place(e))
      end

      def settle
        rules = [
          preset && Its.preset(preset),
          @options["rules"].to_s.strip.empty? ? nil : @options["rules"]
        ].compact
        @its = Its.new(@dom, rules)
        @known = rules.any? || @dom.at_xpath("//its:withinTextRule", its: Its::NAMESPACE)
        @within_text = @known ? {} : guess_inline
      end

      # Names of elements that stand beside running text somewhere, or only ever in such elements, and hold no
      # blocks.
      def guess_inline
        names, parents = {}, Hash.new { |hash, name| hash[name] = {} }
        tree.each_element do |node|
          parents[node.name][node.parent.name] = true
          names[node.name] = true if node.parent.children.any? { |one|
            one.kind == :text && one.raw.match?(/[^\s]/)
          }
        end
        while (
          more =
            parents.keys.find do |name|
              !names[name] && parents[name].keys.all? { |parent| names[parent] }
            end
        )
          names[more] = true
        end
        loop do
          outsiders = []
          tree.each_element do |node|
            outsiders << node.name if names[node.name] && node.elements.any? { |child| !names[child.name] }
          end
          return names if outsiders.empty?

          outsiders.each { |name| names.delete(name) }
        end
      end

      def info(node) = @its.info(node.index)

      # Values of software have placeholders in them.
      def items_of(text) = preset == "resx" ? placeholders(text) : super

      def placeholders(text)
        content, raws = Placeholders.read(text)
        @placeholder_runs = @placeholder_runs.to_i + 1
        content.items.map do |item|
          next item if item.is_a?(String)

          key = "x#{@placeholder_runs}-#{item.key}"
          @originals[key] = raws.fetch(item.key)
          item.with(key: key)
        end
      end

      def role(node)
        within = info(node).within
        return :nested if within == "nested"
        return within == "yes" ? :inline : :block if within

        @within_text[node.name] ? :inline : :block
      end

      # Inside a text, what is not to be translated is a single code.
      def opaque?(node) =
        info(node).translate == false && node.elements.none? { |child| info(child).translate }

      def translatable?(node, _inherited) = info(node).translate
      def preserves?(node, _inherited) = info(node).preserve || false
      def attribute_names(node) = info(node).attributes.keys
      def line_break?(node) = node.local == "br"
      def display(node) = line_break?(node) ? "line break" : super
      def look(node) = LOOKS.fetch(node.local, "")
      def location(node, _context) = Location.named(node.local.tr("_-", " "))

      def block_name(node, context)
        {
          "title" => "heading-2",
          "li" => "list-item",
          "listitem" => "list-item",
          "entry" => "cell",
          "stentry" => "cell"
        }.fetch(node.local, context.block == "list-item" ? "list-item" : "paragraph")
      end

      def facts(node)
        found = info(node)
        { note: found.note, limit: found.limit, key: found.id }.compact
      end

      def page_unit(html, unit, _parent)
        {
          "heading-2" => "<h2>#{html}</h2>",
          "list-item" => "<p class=\"item\" style=\"--level:0\" data-mark=\"•\">#{html}</p>"
        }.fetch(unit.block, "<p>#{html}</p>")
      end

      def page_block(node, inner)
        {
          "row" => "tr",
          "strow" => "tr",
          "sthead" => "tr",
          "tr" => "tr",
          "entry" => "td",
          "stentry" => "td",
          "td" => "td",
          "th" => "th",
          "table" => "table",
          "informaltable" => "table",
          "simpletable" => "table"
        }.fetch(node.local, nil).then { |tag| tag ? "<#{tag}>#{inner}</#{tag}>" : inner }
      end
    end
  end
end

# Android string resources: strings, arrays and plurals, with names as keys and the comment before as note.
# Plural forms the target language needs besides are added. What stands in xliff:g or says
# translatable="false" stays.
require "glossema/formats/markup/xml"

module Glossema
  module Formats
    class Android < Xml
      Formats.announce(self, rank: 31)

      NAME = "Android strings".freeze
      EXTENSIONS = %w[xml].freeze
      MEDIA_TYPE = "application/xml".freeze
      DEFAULTS = { "plurals" => true, "target_language" => Inner.new(""), "encoding" => "" }.freeze
      # Names another resource instead of holding a text.
      REFERENCE = %r{\A\s*[@?](?:[\w.]+:)?[\w.]+/[\w.]+\s*\z}
      ESCAPES = { "n" => "\n", "t" => "\t" }.freeze

      def self.recognises?(bytes, _name)
        EncodedText.text?(bytes) &&
          EncodedText.head(bytes).match?(/\A\s*(?:<\?xml[^>]*>\s*)?(?:<!--.*?-->\s*)*<resources\b/m)
      end

      def preview
        "<table class=\"keys\">" \
"#{units.reject { |unit|
  unit.content.blank?
}.map { |unit|
  "<tr><th>#{Glossema::Html.escape(unit.key || unit.path)}</th><td>#{yield unit}</td>" \
    "</tr>"
}.join}</table>"
      end

      private

      def preset = nil

      def settle
        @holders = {}
        root = tree.elements.first
        root.elements.each do |node|
          case node.name
          when "string"
            hold(node, node["name"], node)
          when "string-array"
            node
              .all("item")
              .each_with_index do |item, index|
                hold(item, "#{node["name"]}[#{index}]", index.zero? ? node : item, within: node)
              end
          when "plurals"
            node
              .all("item")
              .each { |item| hold(item, "#{node["name"]}.#{item["quantity"]}", node, within: node) }
            add_plurals(node) if @options["plurals"] && @options["target_language"].to_s != ""
          end
        end
      end

      def hold(node, key, noted, within: node)
        return if [node, within].any? { |one| one["translatable"] == "false" }
        return if node.inner_text.match?(REFERENCE)

        @holders[node] = { key: key, note: comment_before(noted) }.compact
      end

      def comment_before(node)
        list = node.parent.children
        at = list.index { |one| one.equal?(node) } - 1
        at -= 1 while at >= 0 && blank_text?(list[at])
        at >= 0 && list[at].kind == :comment ? list[at].raw[4..-4].gsub(/\s+/, " ").strip : nil
      end

      def add_plurals(node)
        items = node.all("item")
        other = items.find { |item| item["quantity"] == "other" } or return
        @free << [node.open_to, node.inner_to]
        gap = slice(node.open_to, items.first.from)
        (
          Plurals.categories(@options["target_language"]) - items.map { |item| item["quantity"] }
        ).each do |category|
          content, raws = Placeholders.read(unescape(other.inner_text))
          place(
            "#{node["name"]}.#{category}",
            items.last.to,
            items.last.to,
            content,
            key: "#{node["name"]}.#{category}",
            note: "plural form “#{category}”",
            extra: true
          ) do |target|
            "#{gap}<item quantity=\"#{category}\">#{Placeholders.write(target, raws) { |text|
              escape(text)
            }}</item>"
          end
        end
      end

      def role(node)
        return :block if @holders[node] || %w[resources string string-array plurals item].include?(node.name)

        node.name == "g" || node.name.end_with?(":g") ? :skip : :inline
      end

      def translatable?(node, inherited) = role(node) == :block ? @holders.key?(node) : inherited
      def opaque?(_node) = false
      def preserves?(_node, inherited) = inherited
      def attribute_names(_node) = []
      def facts(node) = @holders[node] || {}

      def location(node, context)
        @holders[node] ? Location.named(@holders[node][:key]) : context.location
      end

      def block_name(_node, _context) = "line"
      def items_of(text) = placeholders(unescape(text))
      def encoded(text, _preserve) = escape(text)

      # Ids by name: forms that are added stand between others.
      def place(id, *rest, location: nil, key: nil, **more, &write)
        id = key if key && !id.include?("@")
        super(id, *rest, location: location || Location.named(key), key: key, **more, &write)
      end

      def unescape(text)
        text = text[1..-2] if text.length > 1 && text.match?(/\A".*[^\\]"\z/m)
        text.gsub(/\\(?:u(\h{4})|(.))/m) do
          if Regexp.last_match(1)
            [Regexp.last_match(1).hex].pack("U")
          else
            ESCAPES.fetch(Regexp.last_match(2), Regexp.last_match(2))
          end
        end
      end

      def escape(text)
        Markup.escape(
          text
            .gsub(/[\\'"\n\t]/, "\\" => "\\\\", "'" => "\\'", '"' => "\\\"", "\n" => "\\n", "\t" => "\\t")
            .sub(/\A[@?]/) { |char| "\\#{char}" }
        )
      end
    end
  end
end

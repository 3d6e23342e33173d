# What XML and HTML files share: stretches of text and inline elements between the borders of blocks are
# units, inline elements are codes, chosen attributes are units of their own. Formats say what an element is:
#   role(node)                 :block, :inline, :skip (nothing in it is translated; inside a text it is a
#                              single code) or
#                              :nested (a single code in the text around it, with units of its own)
#   translatable?(node, inherited)   preserves?(node, inherited)   attribute_names(node)
#   facts(node)                {note:, limit:, key:} for the units that begin in a block
#   look(node)                 words for the preview of an inline element
module Glossema
  module Formats
    class MarkedFile < TextFile
      Context =
        Struct.new(:translate, :preserve, :facts, :block, :location, keyword_init: true) do
          def with(**changes) = self.class.new(**to_h, **changes)
        end
      SPACE = /[ \t\r\n\f]+/
      # Looked for where a run of it begins only, so that long ones cost no more.
      TRAILING = /(?<![ \t\r\n\f])#{SPACE}\z/
      NAMED = /&(?:#\d{1,7}|#[xX]\h{1,6}|[A-Za-z][A-Za-z0-9]*);/

      attr_reader :tree

      def write(contents, target_language: nil, states: {})
        # What stands inside the codes of other units is written first, the innermost before all.
        @inner = []
        inner = @places.select { |place| @within[place.unit.id] && contents.key?(place.unit.id) }
        inner
          .sort_by { |place| place.to - place.from }
          .each { |place| @inner.concat(edits_of(place, contents[place.unit.id], nil)) }
        super
      ensure
        @inner = nil
      end

      # What answers the bytes of a file beside this one, for pictures; none by itself.
      attr_writer :beside

      def preview(&block)
        # What stands inside a text without being part of it follows at the end.
        notes, main =
          @places
            .reject { |place| @within[place.unit.id] == :attribute }
            .partition { |place| @within[place.unit.id] == :nested }
        page_of(tree, main.to_h { |place| [place.from, place.unit] }, block) +
          notes.map { |place| "<p class=\"note\">#{block.call(place.unit)}</p>" }.join
      end

      private

      def html? = false
      def declares_encoding? = true
      def escaped(char) = "&#x#{char.ord.to_s(16).upcase};"

      def scan
        @attribute_counts, @within, @boundary, @originals = {}, {}, 0, {}
        prepare
        @tree = Markup.parse(@text, html: html?)
        settle
        walk(@tree,
          Context.new(translate: true, preserve: false, facts: {}, block: "paragraph", location: nil))
      rescue Markup::TooDeep
        raise Refused.new("hostile.elements-too-deep", name: @name)
      end

      # Before the tree is read, and after it.
      def prepare = nil
      def settle = nil

      # Items for a stretch of decoded text; formats of software find placeholders here. The block stores what
      # a code stands for.
      def items_of(text) = [text]

      def translatable?(_node, inherited) = inherited
      def preserves?(_node, inherited) = inherited
      def attribute_names(_node) = []
      def facts(_node) = {}
      def look(_node) = ""
      def block_name(_node, context) = context.block
      def location(_node, context) = context.location
      def opaque?(_node) = false
      def merges?(_node) = false
      def line_break?(_node) = false
      # An element that only marks a place.
      def bookmark?(_node) = false

      def context_of(node, outer)
        Context.new(
          translate: translatable?(node, outer.translate),
          preserve: preserves?(node, outer.preserve),
          facts: outer.facts.merge(facts(node)),
          block: block_name(node, outer),
          location: location(node, outer)
        )
      end

      def walk(node, context)
        run = []
        node.children.each do |child|
          if child.text?
            run << child if context.translate
          elsif child.kind == :comment || child.kind == :instruction || child.kind == :stray
            run << child if run.any?
          elsif child.element?
            if context.translate && inline?(child)
              run << child
            else
              flush(run, context)
              run = []
              enter(child, context_of(child, context))
            end
          end
        end
        flush(run, context)
      end

      def enter(node, context)
        @boundary += 1
        take_attributes(node, context)
        walk(node, context) unless role(node) == :skip
        @boundary += 1
      end

      # An element that can stand inside a text: inline itself, and nothing in it is a block.
      def inline?(node)
        (@inline ||= {}.compare_by_identity).fetch(node) do
          @inline[node] = case role(node)
          when :nested
            true
          when :inline
            opaque?(node) || node.elements.all? { |child| inline?(child) }
          when :skip
            !block_skip?(node)
          end
        end
      end

      # Is this a thing that stands between texts rather than in them?
      def block_skip?(_node) = false

      def flush(run, context)
        number = @boundary
        @boundary += 1
        return if run.empty?

        id = "b#{number}"
        run.each { |node| inner_attributes(node, context, id) }
        nested(run, context)
        return unless run.any? { |node| visible?(node) }

        run.shift while blank_text?(run.first)
        run.pop while blank_text?(run.last)
        # Comments after the words go with them: those between the words come to stand there.
        from, to = run.first.from, run.last.to
        unless context.preserve
          from += run.first.raw[/\A#{SPACE}/o].to_s.bytesize if run.first.kind == :text
          to -= run.last.raw[TRAILING].to_s.bytesize if run.last.kind == :text
        end
        return cdata(run.first, id, context) if run.size == 1 && run.first.kind == :cdata

        content = content_of(run, context)
        return if content.blank?

        preserve = context.preserve
        place(
          id,
          from,
          to,
          content,
          block: context.block,
          location: context.location || Location.block(context.block),
          **context.facts
        ) { |target| markup_of(target, preserve) }
      end

      # The units inside what stands in this text as a single code.
      def nested(run, context)
        run
          .select(&:element?)
          .each do |node|
            if role(node) == :nested
              before = @places.size
              enter(node, context_of(node, context.with(facts: {})))
              @places[before..].each { |place| @within[place.unit.id] ||= :nested }
            elsif role(node) == :inline
              nested(node.children, context)
            end
          end
      end

      # A text that stands in a CDATA section by itself stays in one.
      def cdata(node, id, context)
        content, raws = Placeholders.read(node.decoded, Placeholders::TAG)
        return if content.blank?

        place(
          id,
          node.from + 9,
          node.to - 3,
          content,
          block: context.block,
          location: context.location || Location.new("text"),
          **context.facts
        ) { |target| Placeholders.write(target, raws, &:itself).gsub("]]>", "]]]]><![CDATA[>") }
      end

      def blank_text?(node) = node&.kind == :text && node.raw.match?(/\A#{SPACE}\z/o)

      # Does the node show text of its own that is to be translated?
      def visible?(node)
        return node.inner_text.match?(/[^[:space:]\u200B\uFEFF]/) if node.text?

        node.element? && role(node) == :inline && !opaque?(node) && translatable?(node, true) &&
          node.children.any? { |child| visible?(child) }
      end

      def content_of(run, context)
        @items, @blank = [], true
        append(run, context.preserve)
        strip_end unless context.preserve
        Content.new(@items).well_formed.renumber
      end

      def append(nodes, preserve)
        nodes.each_with_index do |node, index|
          if node.text?
            append_text(node, preserve)
          elsif !node.element?
            append_alone(node, node.element? ? "anchor-start" : "anchor-end", "", "hidden")
          elsif role(node) == :nested
            append_alone(node, "note", display(node), nil)
          elsif role(node) == :skip || opaque?(node) || !translatable?(node, true)
            append_alone(
              node,
              "object",
              node.inner_text.gsub(SPACE, " ").strip[0, 30].then { |text| text.empty? ? node.local : text },
              nil
            )
          elsif bookmark?(node)
            append_alone(node, node.element? ? "anchor-start" : "anchor-end", "", "hidden")
          elsif node.close_from &&
              (
                hollow?(node) ||
                  (
                    @blank && !preserve &&
                      node.children.all? { |child| child.kind == :text && blank_text?(child) }
                  )
              )
            append_alone(node, "object", display(node), nil)
          elsif node.close_from.nil?
            append_alone(node, line_break?(node) ? "break" : node.local, display(node), nil)
          else
            append_pair(node, preserves?(node, preserve), index.positive? ? nodes[index - 1] : nil)
          end
        end
      end

      # References to entities the document declares itself are codes.
      OWN_ENTITY = /(&(?!(?:amp|lt|gt|quot|apos);)[A-Za-z_:][\w:.-]*;)/

      # Blanks at the end of a line do not show.
      def strip_end
        at = @items.rindex { |item| !item.is_a?(Code) || !item.anchor? }
        @items[at] = @items[at].sub(/(?<! ) +\z/, "") if at && @items[at].is_a?(String)
      end

      # Is there nothing in it that a reader could see?
      def hollow?(node)
        # Elements in elements ask again and again.
        known = (@hollow ||= {}.compare_by_identity)
        known.fetch(node) { known[node] = empty_looking?(node) }
      end

      def empty_looking?(node)
        return false if node.children.any?(&:text?) && node.children.all?(&:text?)

        node.children.all? do |child|
          if child.element?
            bookmark?(child) || (child.close_from && role(child) == :inline && hollow?(child))
          else
            !child.text? || blank_text?(child)
          end
        end
      end

      def append_text(node, preserve)
        if html? || node.kind == :cdata || !node.raw.match?(OWN_ENTITY)
          return append_stretch(node.decoded, preserve)
        end

        at = node.from
        node
          .raw
          .split(OWN_ENTITY)
          .each do |piece|
            if piece.match?(/\A#{OWN_ENTITY}\z/o)
              @originals[key = "n#{at}"] = [[at, at + piece.bytesize]]
              @items << Code.new(
                id: 0,
                kind: :alone,
                key: key,
                type: "entity",
                display: piece[1..-2],
                equiv: "",
                wrap: piece
              )
              @blank = false
            else
              append_stretch(Markup.decode(piece), preserve)
            end
            at += piece.bytesize
          end
      end

      def append_stretch(text, preserve)
        text = text.gsub("\r\n", "\n") if preserve
        unless preserve
          text = text.gsub(SPACE, " ")
          text = text.delete_prefix(" ") if @blank
        end
        return if text.empty?

        @blank = text.end_with?(" ")
        @items.concat(items_of(text))
      end

      def append_alone(node, type, display, css)
        key = "n#{node.from}"
        @originals[key] = [
          [node.from, node.element? && node.close_from.nil? && node.children.any? ? node.open_to : node.to]
        ]
        line = type == "break"
        strip_end if line
        @items << Code.new(
          id: 0,
          kind: :alone,
          key: key,
          type: type,
          display: display,
          equiv: line ? "\n" : "",
          wrap: identity(node),
          css: css
        )
        @blank = true if line
        @blank = false unless line || type.start_with?("anchor")
        # What an unclosed element holds follows it.
        if node.element? && node.close_from.nil? && node.children.any? && role(node) == :inline
          append(node.children, false)
        end
      end

      def append_pair(node, preserve, before)
        same =
          before&.element? && merges?(node) && @items.last.is_a?(Code) && @items.last.close? &&
          before.open_raw == node.open_raw
        key = same ? @items.last.key : "n#{node.from}"
        if same
          @items.pop
        else
          @originals[key] = [[node.from, node.open_to], [node.close_from, node.to]]
          words = look(node)
          @items << Code.new(
            id: 0,
            kind: :open,
            key: key,
            type: words == "link" ? "link" : node.local,
            display: display(node),
            equiv: "",
            wrap: identity(node),
            css: words
          )
        end
        append(node.children, preserve)
        @items << Code.new(
          id: 0,
          kind: :close,
          key: key,
          type: node.local,
          display: display(node),
          equiv: "",
          wrap: identity(node),
          css: look(node)
        )
      end

      def display(node)
        words = look(node)
        words.empty? ? node.local : words
      end

      # The markup without those of its attributes that are translated.
      def identity(node)
        return node.raw unless node.element?

        return node.open_raw if role(node) == :nested

        names = attribute_names(node)
        whole = node.close_from.nil? ? node.raw : node.open_raw
        return whole if names.empty? && node.close_from

        names.reduce(node.open_raw) do |raw, name|
          if (value = node[name]) && !value.empty?
            raw.sub(/(\s#{Regexp.escape(name)}\s*=\s*)(?:"[^"]*"|'[^']*'|[^\s>]+)/mi, '\1""')
          else
            raw
          end
        end
      end

      def markup_of(content, preserve)
        content
          .well_formed
          .items
          .map do |item|
            next encoded(item, preserve) if item.is_a?(String)

            original = @originals.fetch(item.key)
            # A placeholder found in the text, or a pair of them.
            next Markup.escape(original) if original.is_a?(String)
            next Markup.escape(original[item.close? ? 1 : 0]) if original.first.is_a?(String)

            replaced(*original[item.close? ? 1 : 0], @inner || [])
          end
          .join
      end

      # A text as the file writes its characters: what it has as entities stays so.
      def encoded(text, preserve)
        @habits ||=
          @text
            .scan(NAMED)
            .uniq
            .to_h { |raw| [Markup.decode(raw, html?), raw] }
            .select do |char, raw|
              char != raw && char.length == 1 && !char.match?(/[&<>\s]/) || char == "\u00A0"
            end
            .reject { |char, _| @text.include?(char) }
        text = text.tr("\n", " ") unless preserve
        text = Markup.escape(text)
        @habits.empty? ? text : text.gsub(/[#{Regexp.escape(@habits.keys.join)}]/) { |char| @habits[char] }
      end

      def inner_attributes(node, context, id)
        return unless node.element?

        inner = context.with(translate: translatable?(node, context.translate))
        take_attributes(node, inner, id)
        return if %i[skip nested].include?(role(node)) || opaque?(node)

        node.children.each { |child| inner_attributes(child, inner, id) }
      end

      def take_attributes(node, context, within = "b#{@boundary}")
        return unless context.translate

        attribute_names(node).each do |name|
          value, from, to = node.attributes[name]
          next unless value&.match?(/\p{L}/)

          base = "#{within}@#{name}-#{Zlib.crc32(identity(node)).to_s(36)}"
          id = base
          count = @attribute_counts[base] = @attribute_counts.fetch(base, 0) + 1
          id = "#{base}-#{count}" if count > 1
          @within[id] = :attribute
          content, raws = attribute_content(value)
          block = %w[alt aria-label].include?(name) ? "alt-text" : "property"
          # The quotes belong to it: a value without any may come to need them.
          quote = slice(to, to + 1)[/["']/]
          place(
            id,
            from - (quote ? 1 : 0),
            to + (quote ? 1 : 0),
            content,
            block: block,
            location: attribute_location(node, name),
            **context.facts.slice(:note)
          ) do |target|
            text = Placeholders.write(target, raws) { |run| Markup.escape_attribute(run) }
            "#{quote || '"'}#{quote == "'" ? text.gsub("'", "&#39;") : text}#{quote || '"'}"
          end
        end
      end

      def attribute_content(value) = [Content.text(value), {}]
      def attribute_location(node, name) = Location.new("attribute", name: name, element: node.local)

      def page_of(node, units, block)
        node
          .children
          .map do |child|
            next part_of_page(child, node, units, block) unless child.element? && inline?(child)

            # Pictures follow the text they stand in.
            part_of_page(child, node, units, block) + pictures(child)
          end
          .join
      end

      def pictures(node)
        all = node.local == "img" ? [node] : node.every("img")
        all.map { |one| Pictures.of_html(one["src"].to_s, &@beside) }.join
      end

      def part_of_page(child, node, units, block)
        unit =
          units[child.from] ||
          (child.kind == :text && units[child.from + child.raw[/\A#{SPACE}/o].to_s.bytesize])
        if unit
          page_unit(block.call(unit), unit, node)
        elsif child.kind == :cdata && units[child.from + 9]
          page_unit(block.call(units[child.from + 9]), units[child.from + 9], node)
        elsif child.element? && !inline?(child)
          page_block(child, page_of(child, units, block))
        else
          ""
        end
      end

      def page_unit(html, _unit, _parent) = "<p>#{html}</p>"
      def page_block(_node, inner) = inner
    end
  end
end

# Runs of formatted text, as office formats keep them, made into a Content: runs of one look are one text, and
# only what a reader sees becomes a code. Including classes say what a look is:
#   look_of(props, text) → canonical look of these properties in a text of its scripts; "" for the text leaves
#   scripts aside
#   words_of(props, base) → words for a preview; plain_props → properties of a run without settings of its own
#   shows_on_space?(text) → does its look show on white space?
module Glossema
  module Formats
    module Runs
      # Text with a look: properties of the run it came from, its look among the scripts of this paragraph,
      # and its look whatever the script, which the proof compares.
      Text = Struct.new(:text, :run, :props, :look, :plain_look)
      # A code that stands alone; wrap: what tells it from others of its type, where its display may change;
      # nodes: what is written for it, each [properties of its run or nil, node], or
      # [:bare, node] for one that stands outside runs.
      Alone = Struct.new(:type, :display, :equiv, :nodes, :wrap)
      # A container with entries inside.
      Wrap = Struct.new(:type, :display, :wrap, :element, :before, :after, :entries)

      # The look outside every code, canonical, and the run it was taken from.
      attr_reader :look

      # An element in one canonical form. The standard one walks the whole document for it, each time.
      def self.canonical(node)
        attributes =
          node.attribute_nodes.map { |attribute| "#{attribute.node_name}=#{attribute.value}" }.sort.join(" ")
        "<#{node.name} #{attributes}>" \
          "#{node.children.map { |child| child.element? ? canonical(child) : child.text }.join}"
      end

      # Each child element; a set of nodes costs thrice as much.
      def self.each_element(node)
        element = node.first_element_child
        while element
          following = element.next_element
          yield element
          element = following
        end
      end

      private

      # entries of a paragraph → Content. Sets @look, @base and @originals (what each code stands for, by
      # key).
      def content_of(entries)
        @originals = {}
        entries = collapsed(entries)
        @text = every_text(entries).map(&:text).join
        settle(entries)
        base = dominant(entries)
        @base = base&.run
        @look = base&.plain_look || ""
        Content.new(linear(entries, base)).renumber
      end

      # A container with nothing to see in it is a mark, not a pair of codes.
      def collapsed(entries)
        entries.map do |entry|
          next entry unless entry.is_a?(Wrap)

          entry.entries = collapsed(entry.entries)
          visible?(entry) ? entry : Alone.new("anchor-end", "", "", nodes_of(entry))
        end
      end

      def visible?(entry)
        case entry
        when Text then !entry.text.empty?
        when Alone then !entry.type.start_with?("anchor")
        else entry.entries.any? { |inner| visible?(inner) }
        end
      end

      def nodes_of(entry)
        case entry
        when Text then []
        when Alone then entry.nodes
        else
          return [[:bare, entry.element]] if entry.element

          [*entry.before, *entry.entries.flat_map { |inner| nodes_of(inner) }, *entry.after]
        end
      end

      # Joins neighbouring text of one look; white space takes the look of what stands before it where that
      # cannot be seen.
      def settle(entries)
        entries.grep(Wrap).each { |wrap| settle(wrap.entries) }
        texts = entries.grep(Text)
        texts.each { |text| text.look, text.plain_look = look_of(text.props, @text), look_of(text.props, "") }
        texts.each_with_index do |text, index|
          next unless text.text.match?(/\A[[:space:]]*\z/) && !shows_on_space?(text)

          neighbour = index.positive? ? texts[index - 1] : texts[index + 1]
          next if neighbour.nil? || shows_on_space?(neighbour)

          text.look, text.plain_look, text.run, text.props =
            neighbour.look,
            neighbour.plain_look,
            neighbour.run,
            neighbour.props
        end
      end

      # The text whose look needs the fewest codes for the rest; then the look without run settings, then the
      # commonest.
      def dominant(entries)
        texts = every_text(entries, own: true)
        texts = every_text(entries) if texts.empty?
        return texts.first if texts.size < 2

        plain = look_of(plain_props, @text)
        sequence = texts.map(&:look).chunk_while { |one, other| one == other }.map(&:first)
        weights =
          texts
            .group_by(&:look)
            .transform_values { |list| list.sum { |text| text.text.count("^ \t\n\u00a0\u3000") } }
        look =
          weights.keys.min_by do |candidate|
            [sequence.count { |other| other != candidate }, candidate == plain ? 0 : 1, -weights[candidate]]
          end
        texts.find { |text| text.look == look }
      end

      def every_text(entries, own: false)
        entries.flat_map do |entry|
          next [entry] if entry.is_a?(Text)

          entry.is_a?(Wrap) && !own ? every_text(entry.entries) : []
        end
      end

      def linear(entries, base)
        items, open, open_shows, look, waiting = [], nil, false, nil, []
        close =
          lambda do
            # White space at the edge of a look that does not show on it stays outside.
            space = open && !open_shows && items.last.is_a?(String) && items.last[Segmentation::Splitter::TRAILING]
            items[-1] = items.last.delete_suffix(space) if space
            items << open.with(kind: :close) if open
            items << space if space
            open = nil
            items.concat(waiting)
            waiting = []
          end
        lead = nil
        entries.each do |entry|
          case entry
          when Text
            same = base && entry.look == base.look
            if open && !same && look == entry.look
              items.concat(waiting)
              waiting = []
            else
              close.call
              unless same || entry.text.empty?
                open_shows = shows_on_space?(entry) || (base ? shows_on_space?(base) : false)
                lead = open_shows ? "" : entry.text[/\A[[:space:]]*/]
                items << lead << (open = format_code(entry, base))
              end
              look = entry.look
            end
            items << (lead && open ? entry.text.delete_prefix(lead) : entry.text)
            lead = nil
          when Alone
            waiting << alone_code(entry)
          when Wrap
            close.call
            items.concat(wrap_items(entry, base))
          end
        end
        close.call
        items
      end

      def key(prefix, original)
        @counts ||= Hash.new(0)
        "#{prefix}#{@counts[prefix] += 1}".tap { |name| @originals[name] = original }
      end

      def format_code(text, base)
        words = words_of(text.props, base ? base.props : {})
        Code.new(
          id: 0,
          kind: :open,
          key: key("f", text.run),
          type: "format",
          display: words.empty? ? "formatting" : words.join(" "),
          equiv: "",
          style: text.plain_look,
          css: words.join(" ")
        )
      end

      def alone_code(entry)
        Code.new(
          id: 0,
          kind: :alone,
          key: key(entry.type.start_with?("anchor") ? "a" : "o", entry.nodes),
          type: entry.type,
          display: entry.display,
          equiv: entry.equiv,
          wrap: entry.wrap,
          css: entry.type.start_with?("anchor") || %w[picture object].include?(entry.type) ? "hidden" : nil
        )
      end

      def wrap_items(entry, base)
        inner = dominant(entry.entries) || base
        open =
          Code.new(
            id: 0,
            kind: :open,
            key: key("w", [entry, inner&.run]),
            type: entry.type,
            display: entry.display,
            equiv: "",
            style: inner&.plain_look,
            wrap: entry.wrap,
            css: [
              entry.type == "link" ? "link" : nil,
              *(inner && base ? words_of(inner.props, base.props) : [])
            ].compact.uniq.join(" ")
          )
        [open, *linear(entry.entries, inner), open.with(kind: :close)]
      end
    end
  end
end

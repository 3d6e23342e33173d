# A message in ICU syntax with plural, select or choice branches: each branch is a text of its own, and plural
# branches are those that the target language has.
module Glossema
  module Formats
    class Message
      # A text to be translated. label: "one", "other", "female · one" …, unique in its message; counted: in
      # a plural, where # stands for the number; added: the target language has this branch, the source does
      # not.
      Leaf = Struct.new(:label, :text, :counted, :added)
      # head: all before its first branch; tail: all behind its last one.
      Construct = Struct.new(:head, :branches, :tail)
      # opening: all before its text; nodes: [String, Leaf or Construct]; added: the source lacks it.
      Branch = Struct.new(:name, :opening, :nodes, :added)

      HEAD = /\{\s*[\w.$-]+\s*,\s*(plural|selectordinal|select|choice)\s*,/
      NAME = /\s*(?:offset:\d+\s*)?(=\d+|[\w-]+)\s*\{/
      CHOICE = /\s*[-\d.∞]+\s*[#<≤]/
      COUNTING = { "plural" => :cardinal, "selectordinal" => :ordinal }.freeze
      QUOTED = /(?<!')'[{}#|](?:[^']|'')*'/

      # Has the text branches?
      def self.plural?(text) = text.match?(HEAD) && new(text).branched?

      attr_reader :leaves

      # language: tag of the target, whose plural branches are added and dropped, or nil; quoting: does an
      # apostrophe quote braces?
      def initialize(text, language: nil, quoting: true)
        @text, @language, @quoting = text, language, quoting
        @leaves, @branched, @labels = [], false, Hash.new(0)
        @nodes = nodes(0, text.length, [], false)
        @doubled = quoting && text.include?("''")
      end

      def branched? = @branched

      # A leaf's text → [Content, raws], as Placeholders does.
      def read(leaf)
        pattern = leaf.counted ? Placeholders::COUNTED : Placeholders::ALL
        return Placeholders.read(leaf.text, pattern) unless @quoting

        content, raws = Placeholders.read(leaf.text, /#{QUOTED}|#{pattern}/)
        plain = content.items.map { |item| item.is_a?(String) ? item.gsub("''", "'") : item }
        [Content.new(plain), raws]
      end

      # The translation of a leaf in the syntax of the message.
      def written(leaf, content, raws)
        Placeholders.write(content, raws) { |run| @quoting ? quoted(run, leaf.counted) : run }
      end

      # The message with the texts of some leaves, {label => text}, others as they are. A branch that is added
      # comes with the first of its texts.
      def write(texts) = joined(@nodes, texts)

      private

      def nodes(from, to, labels, counted)
        match = HEAD.match(@text[from...to])
        finish = match && closing(from + match.begin(0))
        return [leaf(labels.empty? ? "text" : nil, labels, from, to, counted)] unless finish && finish < to

        start = from + match.begin(0)
        [
          *outside("before", labels, from, start, counted),
          construct(match[1], start, from + match.end(0), finish, labels, counted),
          *following(labels, finish + 1, to, counted)
        ]
      end

      def following(labels, from, to, counted)
        return outside("after", labels, from, to, counted) unless @text[from...to].match?(HEAD)

        nodes(from, to, labels, counted)
      end

      # Text beside a construct: the white space at its ends does not belong to it.
      def outside(where, labels, from, to, counted)
        text = @text[from...to]
        return [text] unless text.match?(/\p{L}/)

        lead, trail = text[/\A\s*/], text[/(?<!\s)\s*\z/]
        [lead, leaf(where, labels, from + lead.length, to - trail.length, counted), trail]
      end

      def leaf(where, labels, from, to, counted)
        label = [*labels, where].compact.join(" · ")
        number = @labels[label] += 1
        label += " (#{number})" if number > 1
        Leaf.new(label, @text[from...to], counted, false).tap { |one| @leaves << one }
      end

      def construct(kind, start, inner, finish, labels, counted)
        first = @leaves.size
        branches, position =
          kind == "choice" ? choices(inner, finish, labels) : named(kind, inner, finish, labels, counted)
        @branched ||= branches.any?
        made = Construct.new(@text[start...inner], branches, @text[position..finish])
        fit(made, COUNTING.fetch(kind), first, labels) if @language && COUNTING[kind]
        made
      end

      def named(kind, position, finish, labels, counted)
        branches = []
        while (match = @text[position...finish].match(/\A#{NAME}/o))
          inner = position + match.end(0)
          closed = closing(inner - 1) or break
          inside = nodes(inner, closed, labels + [match[1]], counted || COUNTING.key?(kind))
          branches << Branch.new(match[1], match[0], [*inside, "}"])
          position = closed + 1
        end
        [branches, position]
      end

      def choices(position, finish, labels)
        branches = []
        while (match = @text[position...finish].match(/\A\|?#{CHOICE}/o))
          inner = position + match.end(0)
          closed = bar(inner, finish)
          name = match[0].delete("| ")
          branches << Branch.new(name, match[0], nodes(inner, closed, labels + [name], false))
          position = closed
        end
        [branches, position]
      end

      # Branches the target language lacks go, those it has besides are copies of "other" before it.
      def fit(made, type, first, labels)
        other = made.branches.find { |branch| branch.name == "other" } or return
        gone = made.branches.select { |branch| Plurals.superfluous?(branch.name, @language, type) }
        made.branches -= gone
        own = @leaves.slice!(first..) - gone.flat_map { |branch| leaves_of(branch.nodes) }
        lacking = Plurals.categories(@language, type) - made.branches.map(&:name)
        added = lacking.map { |name| copy(other, name, labels) }
        made.branches.insert(made.branches.index(other), *added)
        others = leaves_of(other.nodes)
        @leaves.concat(own - others, added.flat_map { |branch| leaves_of(branch.nodes) }, others)
      end

      def copy(branch, name, labels)
        opening = branch.opening.sub(/offset:\d+\s*/, "").sub(branch.name, name)
        old, new = [*labels, branch.name].join(" · "), [*labels, name].join(" · ")
        Branch.new(name, opening, copied(branch.nodes) { |label| label.sub(old, new) }, true)
      end

      def copied(nodes, &renamed)
        nodes.map do |node|
          case node
          when Leaf
            Leaf.new(renamed.call(node.label), node.text, node.counted, true)
          when Construct
            inside = node.branches.map { |one|
              Branch.new(one.name, one.opening, copied(one.nodes, &renamed))
            }
            Construct.new(node.head, inside, node.tail)
          else
            node
          end
        end
      end

      def leaves_of(nodes)
        nodes.flat_map do |node|
          next [node] if node.is_a?(Leaf)

          node.is_a?(Construct) ? node.branches.flat_map { |branch| leaves_of(branch.nodes) } : []
        end
      end

      def joined(nodes, texts)
        nodes
          .map do |node|
            case node
            when Leaf
              texts.fetch(node.label, node.text)
            when Construct
              "#{node.head}#{node.branches.map { |branch| branch_of(branch, texts) }.join}#{node.tail}"
            else
              node
            end
          end
          .join
      end

      def branch_of(branch, texts)
        return "" if branch.added && leaves_of(branch.nodes).none? { |leaf| texts.key?(leaf.label) }

        "#{branch.opening}#{joined(branch.nodes, texts)}"
      end

      def quoted(run, counted)
        apostrophes = @doubled ? /'/ : /'(?=[{}#|']|\z)|(?<=')'/
        run
          .gsub(apostrophes, "''")
          .gsub(counted ? /[{}#]+/ : /[{}]+/) { |marks| "'#{marks}'" }
      end

      # The place of the brace that closes the one at `open`, or nil.
      def closing(open)
        depth = 0
        each_plain(open, @text.length) do |char, index|
          depth += 1 if char == "{"
          depth -= 1 if char == "}"
          return index if char == "}" && depth.zero?
        end
        nil
      end

      # The place of the bar at which a choice ends, or `finish`.
      def bar(from, finish)
        depth = 0
        each_plain(from, finish) do |char, index|
          depth += { "{" => 1, "}" => -1 }.fetch(char, 0)
          return index if char == "|" && depth.zero?
        end
        finish
      end

      # Characters that are not quoted. Two apostrophes stand for one.
      def each_plain(from, to)
        return (from...to).each { |index| yield @text[index], index } unless @quoting

        quoted, index = false, from
        while index < to
          char = @text[index]
          if char == "'" && @text[index + 1] == "'"
            index += 1
          elsif char == "'" && (quoted || @text[index + 1].to_s.match?(/[{}#|]/))
            quoted = !quoted
          elsif !quoted
            yield char, index
          end
          index += 1
        end
      end
    end
  end
end

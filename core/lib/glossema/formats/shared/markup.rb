# A tree of XML or HTML whose nodes know where they stand in the text, so that a file can be changed in places
# and is otherwise kept to the byte. XML must be well formed (nokogiri says so beforehand); HTML is read as
# browsers read it, near enough for text: optional end tags, void elements, raw text, unclosed and stray tags.
require "glossema/formats/shared/tag_ends"

module Glossema
  module Formats
    module Markup
      # kind: :element, :text, :cdata, :comment, :instruction, :doctype, :stray (an end tag of nothing).
      # from…to: all of it; for elements open_to ends the start tag and close_from begins the end tag (nil
      # without one).
      class Node
        attr_accessor :kind,
          :name,
          :from,
          :to,
          :open_to,
          :close_from,
          :parent,
          :children,
          :index,
          :source,
          :html

        def initialize(kind, from, to, parent, source, html)
          @kind, @from, @to, @parent, @source, @html = kind, from, to, parent, source, html
        end

        def element? = kind == :element
        def text? = %i[text cdata].include?(kind)
        def raw = source.byteslice(from, to - from)
        def open_raw = source.byteslice(from, open_to - from)
        def close_raw = close_from ? source.byteslice(close_from, to - close_from) : ""
        def elements = children.select(&:element?)
        def local = name.include?(":") ? name.split(":").last : name
        def child(name) = children.find { |one| one.element? && one.local == name }
        def all(name) = children.select { |one| one.element? && one.local == name }

        # All elements of that name inside, in order.
        def every(name) = [].tap { |found| each_element { |one| found << one if one.local == name } }

        # The text inside, entities resolved.
        def inner_text =
          if text?
            decoded
          else
            (children || []).map { |one| one.element? || one.text? ? one.inner_text : "" }.join
          end

        def decoded =
          kind == :cdata ? raw.delete_prefix("<![CDATA[").delete_suffix("]]>") : Markup.decode(raw, html)

        # Where the content begins and ends.
        def inner_from = open_to
        def inner_to = close_from || to

        # {name => [value, from, to]} of the attributes; from…to is the value inside its quotes.
        def attributes = @attributes ||= Markup.attributes(self)
        def [](name) = attributes[name]&.first

        def each_element(&block)
          stack = elements.reverse
          while (one = stack.pop)
            yield one
            stack.concat(one.elements.reverse)
          end
        end
      end

      VOID =
        %w[area base br col embed hr img input link meta param source track wbr basefont frame isindex keygen]
          .to_h { |name| [name, true] }
          .freeze
      RAW =
        %w[script style textarea title xmp iframe noembed noframes plaintext]
          .to_h { |name| [name, true] }
          .freeze
      # A start tag closes open elements of these names, up to a border.
      BLOCKS = %w[
        address article aside blockquote center details dialog dir div dl fieldset figcaption figure footer
        form h1 h2 h3 h4 h5 h6 header hgroup hr main menu nav ol p pre section summary table ul
      ].freeze
      CLOSES = {
        "li" => %w[li],
        "dt" => %w[dt dd],
        "dd" => %w[dt dd],
        "option" => %w[option],
        "optgroup" => %w[option optgroup],
        "tr" => %w[tr td th],
        "td" => %w[td th],
        "th" => %w[td th],
        "tbody" => %w[tr td th thead tbody tfoot caption colgroup],
        "thead" => %w[caption colgroup],
        "tfoot" => %w[tr td th thead tbody],
        "rt" => %w[rt rp],
        "rp" => %w[rt rp],
        "body" => %w[head],
        **BLOCKS.to_h { |name| [name, %w[p]] }
      }.freeze
      BORDERS = {
        "li" => %w[ul ol menu dir],
        "dt" => %w[dl],
        "dd" => %w[dl],
        "tr" => %w[table],
        "td" => %w[table tr],
        "th" => %w[table tr],
        "tbody" => %w[table],
        "thead" => %w[table],
        "tfoot" => %w[table]
      }.freeze
      P_BORDERS = %w[table button td th caption object body html].freeze
      NAME = %r{[^\s<>/="']+}
      ATTRIBUTE = %r{([^\s<>/="'][^\s<>/=]*)(?:\s*=\s*(?:"([^"]*)"|'([^']*)'|([^\s"'>]+)))?}m
      XML_ENTITIES = { "amp" => "&", "lt" => "<", "gt" => ">", "quot" => '"', "apos" => "'" }.freeze
      ENTITY = /&(?:#(\d{1,7})|#[xX](\h{1,6})|([A-Za-z][A-Za-z0-9]*));/
      MAX_DEPTH = 600

      module_function

      # text (UTF-8) → the root node (kind :element, name ""). kind: false for XML, true for HTML, :xhtml for
      # XML with HTML's entities. Raises TooDeep for hostile nesting.
      TooDeep = Class.new(StandardError)
      def parse(text, html: false)
        kind, html = html, html == true
        scanner, ends = StringScanner.new(text), TagEnds.new(text)
        root = Node.new(:element, 0, text.bytesize, nil, text, kind)
        root.name, root.open_to, root.close_from, root.children = "", 0, text.bytesize, []
        current, count, depth, names = root, 0, 0, Hash.new(0)
        add =
          lambda do |type, from, name = nil|
            node = Node.new(type, from, scanner.pos, current, text, kind)
            node.name = name
            current.children << node
            node
          end
        pop =
          lambda do |at|
            current.to = at
            names[current.name] -= 1
            current = current.parent
            depth -= 1
          end
        until scanner.eos?
          from = scanner.pos
          if scanner.skip(/[^<]+/)
            add.call(:text, from)
          elsif scanner.skip(/<!--/)
            (scanner.skip_until(/-->/) || scanner.terminate) && add.call(:comment, from)
          elsif scanner.skip(/<!\[CDATA\[/) && !html
            (scanner.skip_until(/\]\]>/) || scanner.terminate) && add.call(:cdata, from)
          elsif scanner.skip(/<\?/)
            (scanner.skip_until(html ? />/ : /\?>/) || scanner.terminate) && add.call(:instruction, from)
          elsif scanner.skip(/<![A-Za-z\[]/)
            skip_doctype(scanner, html) && add.call(:doctype, from)
          elsif (name = end_tag(scanner, ends))
            name = name.downcase if html
            target = current
            target = target.parent while target && target.name != name
            next add.call(:stray, from, name) if target.nil? || target.parent.nil? || (html && VOID[name])

            pop.call(from) until current.equal?(target)
            current.close_from = from
            pop.call(scanner.pos)
          elsif scanner.scan(/<([A-Za-z_:\u0080-\u{10FFFF}]#{NAME.source.sub("+", "*")})/o)
            name = scanner[1]
            name = name.downcase if html
            behind = ends.after(scanner.pos)
            next add.call(:text, from) if behind.nil? && html

            scanner.pos = behind || text.bytesize
            imply_ends(name, current, names).times { pop.call(from) } if html
            alone =
              text.byteslice(scanner.pos - 2, 1) == "/" &&
              (!html || !foreign(current).nil? || %w[svg math].include?(name))
            node = add.call(:element, from, name)
            node.children, node.open_to, node.index = [], scanner.pos, count += 1
            next if alone || (html && VOID[name])

            if html && RAW[name]
              start = scanner.pos
              scanner.skip_until(%r{(?=</#{name}[\s/>])}i) || scanner.terminate
              if scanner.pos > start
                node.children << Node.new(
                  RAW_TEXT.include?(name) ? :text : :cdata,
                  start,
                  scanner.pos,
                  node,
                  text,
                  kind
                )
              end
              node.close_from = scanner.pos
              scanner.skip(/<[^>]*>?/)
              node.to = scanner.pos
              next
            end
            if depth == MAX_DEPTH
              # Browsers too stop nesting at some depth, and show the rest beside it.
              raise TooDeep unless html

              next
            end
            depth += 1
            names[name] += 1
            current = node
          else
            scanner.getch
            add.call(:text, from)
          end
        end
        pop.call(text.bytesize) until current.equal?(root)
        root
      end

      # The name of the end tag that begins here, which is passed; nil where none does.
      def end_tag(scanner, ends)
        scanner.check(%r{</(#{NAME})?}o) or return
        name, behind = scanner[1].to_s, ends.after(scanner.pos + scanner.matched_size)
        behind && (scanner.pos = behind) && name
      end

      # Raw text whose entities count.
      RAW_TEXT = %w[title textarea].freeze

      def foreign(node)
        node = node.parent while node && !%w[svg math].include?(node.name)
        node
      end

      # names: how many elements of each name are open.
      def imply_ends(name, current, names)
        closes = CLOSES[name] or return 0
        return 0 if closes.none? { |one| names[one].positive? }

        borders = BORDERS[name] || P_BORDERS
        node, count, depth = current, 0, 0
        while node.parent && !borders.include?(node.name)
          depth += 1
          count = depth if closes.include?(node.name)
          break if closes == %w[p] && node.name == "p"

          node = node.parent
        end
        count
      end

      def skip_doctype(scanner, html)
        return scanner.skip_until(/>/) || scanner.terminate if html

        # An internal subset stands in brackets.
        scanner.skip(/[^\[>]*/)
        scanner.skip(/\[(?:[^\]"'<]|"[^"]*"|'[^']*'|<!--.*?-->|<[^!]|<!(?!--))*\]/m) if scanner.check(/\[/)
        scanner.skip_until(/>/) || scanner.terminate
      end

      def attributes(node)
        found = {}
        scanner = StringScanner.new(node.open_raw)
        scanner.skip(/<#{NAME}/o)
        until scanner.eos?
          scanner.skip(%r{[\s/>]+|["'=<]})
          next unless scanner.scan(ATTRIBUTE)

          value = scanner[2] || scanner[3] || scanner[4] || ""
          ends = node.from + scanner.pos - (scanner[2] || scanner[3] ? 1 : 0)
          name = node.html ? scanner[1].downcase : scanner[1]
          found[name] ||= [decode(value, node.html), ends - value.bytesize, ends]
        end
        found
      end

      def decode(raw, html = false)
        return raw unless raw.include?("&")

        raw.gsub(html ? /&(?:#(\d{1,7})|#[xX](\h{1,6})|([A-Za-z][A-Za-z0-9]*));?/ : ENTITY) do |whole|
          if Regexp.last_match(3)
            named(whole, Regexp.last_match(3), html)
          else
            number = Regexp.last_match(1)&.to_i || Regexp.last_match(2).hex
            number.between?(1, 0x10FFFF) && !number.between?(0xD800, 0xDFFF) ? [number].pack("U") : "\uFFFD"
          end
        end
      end

      def named(whole, name, html)
        return XML_ENTITIES.fetch(name, whole) unless html

        (@named ||= {})[whole] ||= XML_ENTITIES[name].then { |char| whole.end_with?(";") ? char : nil } ||
          Nokogiri::HTML5.fragment(whole).text
      end

      def escape(text) = text.gsub(/[&<>]/, "&" => "&amp;", "<" => "&lt;", ">" => "&gt;")

      def escape_attribute(text) =
        escape(text).gsub(/["\n\t]/, '"' => "&quot;", "\n" => "&#10;", "\t" => "&#9;")
    end
  end
end

# TMX 1.4b, out and in. Read unit by unit from a stream, so that size does not matter, and past damaged ones.
require "time"

module Glossema
  module Exchange
    module Tmx
      # source and target: written form ({1} …). attributes: hash of strings (author, changed_by, created_at,
      # updated_at, used, origin, key, previous, next and PROPERTIES). codes: what the numbers stand for,
      # [{"id", "kind", "type", "raw", "close"}]. extra: what else the unit said, {"tu" => {name => value},
      # "source"/"target" => {…}, "props" => [[where, type, text]], "notes" => [text], "others" => [variants
      # in other languages, as XML]}; both nil where there is nothing.
      Pair = Struct.new(:source, :target, :attributes, :codes, :extra, keyword_init: true)
      # A unit that cannot be read: its line and why.
      Fault = Struct.new(:line, :message)

      PROPERTIES = %w[client subject project file origin key previous next].freeze
      STAMP = "%Y%m%dT%H%M%SZ".freeze
      CHUNK = 1 << 20
      # A unit this long is no unit.
      LONGEST = 16 << 20

      module_function

      # Writes pairs (any Enumerable of Pair) to anything that takes <<.
      def write(io, pairs, source_lang:, target_lang:)
        io << %(<?xml version="1.0" encoding="UTF-8"?>\n<tmx version="1.4">\n)
        io << %(<header creationtool="Glossema" creationtoolversion="1" segtype="sentence" ) <<
          %(o-tmf="glossema" adminlang="en" srclang="#{source_lang}" datatype="plaintext"/>\n<body>\n)
        pairs.each { |pair| io << Unit.xml(pair, source_lang, target_lang) }
        io << "</body>\n</tmx>\n"
      end

      # Reads from an IO (or a string of bytes). Yields each Pair of the language pair asked for (any region
      # of it) with how many bytes were read so far. Returns {read:, skipped: (units without this pair or
      # without text), faults: [Fault]}. Raises Refused "not-tmx", or "damaged" when nothing at all can be
      # read.
      def read(source, name:, source_lang:, target_lang:, &block)
        Reader.new(
          source.is_a?(String) ? StringIO.new(source.b) : source,
          name,
          [source_lang, target_lang]
        ).run(&block)
      end

      # Finds the units in a stream.
      class Reader
        # A unit of two plain texts, as nearly all are; others are read by the XML parser.
        ATTRIBUTES = %q{(?:\s+[\w:.-]+\s*=\s*(?:"[^"<]*"|'[^'<]*'))*\s*}.freeze
        ASIDE = %{(?:<(?:prop|note)\\b#{ATTRIBUTES}>[^<]*</(?:prop|note)>\\s*)*}.freeze
        VARIANT = %{<tuv\\b(#{ATTRIBUTES})>\\s*(#{ASIDE})<seg\\s*>([^<]*)</seg>\\s*</tuv>\\s*}.freeze
        PLAIN = %r{\A<tu\b(#{ATTRIBUTES})>\s*(#{ASIDE})#{VARIANT}#{VARIANT}</tu>\z}mn
        ATTRIBUTE = /([\w:.-]+)\s*=\s*(?:"([^"]*)"|'([^']*)')/n
        ASIDES = /<(prop|note)\b(#{ATTRIBUTES})>([^<]*)</mn
        STRANGE = /&(?!(?:amp|lt|gt|quot|apos|#\d{1,7}|#x\h{1,6});)|[\x00-\x08\v\f\x0e-\x1f]/n
        # What looks like a unit in these is none.
        ASLEEP = /<!--.*?-->|<!\[CDATA\[.*?\]\]>/mn
        BORDER = %r{#{ASLEEP}|</tu\s*>|<tu[\s>]}mn
        # Entities of the file's own, of plain text. Together they may grow to so many bytes.
        ENTITY = /<!ENTITY\s+([\w:.-]+)\s+(?:"([^"]*)"|'([^']*)')\s*>/n
        GROWN = 10_000

        def initialize(io, name, languages)
          @io, @name, @languages = io, name, languages
          @buffer, @at, @line, @bytes = +"".b, 0, 1, 0
          @read = @skipped = 0
          @faults = []
        end

        def run(&block)
          open
          while (from = find(/<tu[\s>]|<!--/n))
            pass(from)
            @buffer.byteslice(from, 2) == "<!" ? leave_comment : take(&block)
          end
          rest = @buffer.byteslice(@at..).to_s
          fault("the file ends in the middle; what came before was read") unless rest.match?(%r{</tmx\s*>}n)
          if @read.zero? && @skipped.zero? && @faults.any?
            raise Refused.new(
              "damaged.tmx", name: @name, line: @faults.first.line, reason: @faults.first.message
            )
          end

          { read: @read, skipped: @skipped, faults: @faults }
        end

        private

        # Up to the root, which must be <tmx>.
        def open
          @io.binmode if @io.respond_to?(:binmode)
          head = @io.read(CHUNK).to_s
          encoding =
            { "\xFF\xFE".b => "UTF-16LE", "\xFE\xFF".b => "UTF-16BE" }[head[0, 2].b] ||
            head[/\A.{0,10}<\?xml[^>]*encoding\s*=\s*["']([\w-]+)/mn, 1] || "UTF-8"
          @converter =
            (
              if %w[UTF-8 US-ASCII].include?(encoding.upcase)
                nil
              else
                Encoding::Converter.new(encoding, "UTF-8", invalid: :replace, undef: :replace)
              end
            )
          feed(head)
          fill until @ended || @buffer.match?(/<tmx[\s>]/n) || @buffer.bytesize > (4 * CHUNK)
          root = @buffer.gsub(/<!--.*?-->/mn, "")[/<([A-Za-z_][\w:.-]*)/n, 1]
          unless root == "tmx"
            raise Refused.new("not-tmx.other-root", name: @name, root: root) if root

            raise Refused.new("not-tmx.no-root", name: @name)
          end

          start = find(/<tmx[\s>]/n)
          @entities = entities(@buffer.byteslice(0, start))
          pass(start)
        rescue Encoding::ConverterNotFoundError
          raise Refused.new("encoding-unknown.declared", name: @name, encoding: encoding)
        end

        # {name => text} of the entities a file declares itself; those that name others are resolved, within
        # bounds.
        def entities(head)
          declared =
            head
              .gsub(/<!--.*?-->/mn, "")
              .scan(ENTITY)
              .to_h { |name, double, single| [name, double || single] }
              .select { |_, text| text.bytesize <= GROWN }
          5.times { declared = declared.transform_values { |text| named(text, declared) } }
          declared
        end

        # The text with entities put in, as long as it does not grow too much; what is left then is a fault of
        # its unit.
        def named(text, entities)
          grown = 0
          text.gsub(/&([\w:.-]+);/n) do |name|
            value = entities[Regexp.last_match(1)]
            value && (grown += value.bytesize) <= GROWN ? value : name
          end
        end

        def feed(bytes)
          @bytes += bytes.bytesize
          @buffer << (@converter ? @converter.convert(bytes).b : bytes)
        end

        def fill
          chunk = @io.read(CHUNK)
          return @ended = true if chunk.nil? || chunk.empty?

          @buffer = @buffer.byteslice(@at..) if @at.positive?
          @at = 0
          feed(chunk)
        end

        # The place of a pattern from here on, reading on as needed.
        def find(pattern)
          loop do
            found = @buffer.index(pattern, @at)
            return found if found || @ended

            # What was looked through need not be again, but for a mark that may begin at its end.
            pass([@buffer.bytesize - 8, @at].max) if pattern.is_a?(Regexp)
            fill
          end
        end

        def pass(to)
          @line += @buffer.byteslice(@at, to - @at).count("\n")
          @at = to
        end

        def take
          start = @line
          until (finish = finish_of_unit) || @ended || @buffer.bytesize - @at > LONGEST
            fill
          end
          return leave("the unit has no end") unless finish&.positive?

          raw = @buffer.byteslice(@at, finish - @at)
          raw = named(raw, @entities) if @entities.any? && raw.include?("&")
          begin
            pair = Unit.parse(raw, @languages)
            pair ? (@read += 1) && yield(pair, @bytes) : @skipped += 1
          rescue Nokogiri::XML::SyntaxError => e
            fault(
              e.message.sub(/\A\d+:\d+: (?:FATAL|ERROR): /, "").strip[0, 100],
              start + [e.line.to_i - 1, 0].max
            )
          end
          pass(finish)
        end

        # Where the unit at hand ends; -1 where another begins before that, nil where the end is still to be
        # read.
        def finish_of_unit
          at = @at + 3
          while (found = @buffer.index(BORDER, at))
            at = Regexp.last_match.end(0)
            next if @buffer.getbyte(found + 1) == 0x21

            return @buffer.getbyte(found + 1) == 0x2F ? at : -1
          end
        end

        def leave_comment
          until (close = @buffer.index("-->", @at)) || @ended
            fill
          end
          pass(close ? close + 3 : @at + 4)
        end

        # Past the start of a unit that cannot be read.
        def leave(message)
          fault(message)
          pass(@at + 3)
        end

        def fault(message, line = @line) = @faults << Fault.new(line, message)
      end

      # One unit as a Pair, and a Pair as a unit.
      module Unit
        # The ampersand comes last.
        ENTITIES = { "&lt;" => "<", "&gt;" => ">", "&quot;" => '"', "&apos;" => "'", "&amp;" => "&" }.freeze
        DATED = /\A(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)Z?\z/
        # Attributes and properties that a Pair has names for.
        NAMED = %w[creationid creationdate changeid changedate usagecount].freeze

        module_function

        # bytes of <tu>…</tu> → Pair, or nil when it is not of these languages or has no text. Raises
        # Nokogiri::XML::SyntaxError.
        def parse(raw, languages)
          simple = raw.match?(Reader::STRANGE) ? nil : Reader::PLAIN.match(raw)
          simple ? plain(simple.captures, languages) : tree(raw, languages)
        end

        # What units say beside their texts is mostly the same; so many different ones are remembered.
        REMEMBERED = 2000

        # captures: attributes and asides of the unit, then attributes, asides and text of each of its two
        # variants.
        def plain(captures, languages)
          first, second = captures[4], captures.delete_at(7)
          captures.delete_at(4)
          @remembered.clear if (@remembered ||= {}).size > REMEMBERED
          from, to, meta = @remembered[[captures, languages]] ||= about(captures, languages)
          return unless meta

          texts = [first, second].map { |text| text(text) }.values_at(from, to)
          unless texts.any? { |text| text.match?(/\A[[:space:]]*\z/) }
            Pair.new(source: texts[0], target: texts[1], attributes: meta[0], extra: meta[1])
          end
        end

        # [index of the source, of the target, [attributes, extra]] by what a unit says beside its texts; nil:
        # not these languages.
        def about(captures, languages)
          unit, aside, *variants = captures
          variants = variants.each_slice(2).map { |attributes, inner| [pairs_of(attributes), inner] }
          from, to =
            chosen(variants.map { |attributes, _| attributes["xml:lang"] || attributes["lang"] }, languages)
          return [] unless from && to

          (source, source_aside), (target, target_aside) = variants.values_at(from, to)
          asides =
            { "tu" => aside, "source" => source_aside, "target" => target_aside }.flat_map do |where, inner|
              inner
                .scan(Reader::ASIDES)
                .map { |kind, attributes, text| [where, kind, pairs_of(attributes)["type"], decode(text)] }
            end
          [from, to, meta(pairs_of(unit), source, target, asides)]
        end

        def text(bytes)
          text = decode(bytes)
          raise Nokogiri::XML::SyntaxError, "the text is not UTF-8" unless text.valid_encoding?

          text.match?(/[{\\]/) ? Content.escape(text) : text
        end

        def tree(raw, languages)
          element = Nokogiri.XML(raw, nil, "UTF-8") { |config| config.strict.nonet }.root
          variants = element.element_children.select { |child| child.name == "tuv" }
          source, target =
            chosen(
              variants.map { |tuv| attributes_of(tuv).then { |all| all["xml:lang"] || all["lang"] } },
              languages
            ).map { |index| index && variants[index] }
          segs = [source, target].map { |tuv| tuv&.element_children&.find { |child| child.name == "seg" } }
          return unless segs.all?

          codes = Codes.new
          texts = segs.map { |seg| codes.read(seg) }
          asides =
            { "tu" => element, "source" => source, "target" => target }.flat_map do |where, node|
              node
                .element_children
                .select { |child| %w[prop note].include?(child.name) }
                .map { |child| [where, child.name, child["type"], child.text] }
            end
          attributes, extra =
            meta(attributes_of(element), attributes_of(source), attributes_of(target), asides)
          # Languages that are not of this memory go out again as they came.
          others =
            variants
              .reject { |tuv| tuv.equal?(source) || tuv.equal?(target) }
              .map { |tuv| tuv.to_xml(save_with: 0) }
          extra = extra.to_h.merge("others" => others) if others.any?
          unless texts.any? { |text| text.match?(/\A[[:space:]]*\z/) }
            Pair.new(
              source: texts[0],
              target: texts[1],
              attributes: attributes,
              extra: extra,
              codes: codes.list.any? ? codes.list : nil
            )
          end
        end

        # The places of source and target among the languages of a unit.
        def chosen(tags, languages)
          languages.map do |wanted|
            tags.index { |tag| tag.to_s.casecmp?(wanted) } ||
              tags.index { |tag| tag && Languages.same?(tag, wanted) }
          end
        end

        # [attributes, extra] of a Pair.
        def meta(unit, source, target, asides)
          known, others =
            asides.partition do |where, kind, type, _|
              where == "tu" && kind == "prop" && PROPERTIES.include?(type.to_s.delete_prefix("x-"))
            end
          value = ->(name) { unit[name] || target[name] }
          made, changed = stamp(value["creationdate"]), stamp(value["changedate"])
          attributes =
            known
              .to_h { |_, _, type, text| [type.delete_prefix("x-"), text] }
              .merge(
                "author" => value["creationid"] || value["changeid"],
                "changed_by" => value["changeid"],
                "created_at" => made || changed,
                "updated_at" => changed || made,
                "used" => value["usagecount"]
              )
          rest = {
            "tu" => unit.except(*NAMED),
            "source" => source.except("xml:lang", "lang"),
            "target" => target.except("xml:lang", "lang", *(unit.key?("creationdate") ? [] : NAMED)),
            "props" =>
              others
                .select { |_, kind, _, _| kind == "prop" }
                .map { |where, _, type, text| [where, type, text] },
            "notes" => others.select { |_, kind, _, _| kind == "note" }.map(&:last)
          }
          [
            attributes.compact.reject { |_, text| text.empty? },
            rest.reject { |_, list| list.empty? }.then { |left| left.empty? ? nil : left }
          ]
        end

        def pairs_of(text)
          text
            .scan(Reader::ATTRIBUTE)
            .to_h { |name, double, single| [name.force_encoding("UTF-8"), decode(double || single)] }
        end

        def attributes_of(node)
          node.attribute_nodes.to_h do |attribute|
            [
              (
                if attribute.namespace&.prefix || attribute.node_name != "lang"
                  [attribute.namespace&.prefix, attribute.node_name].compact.join(":")
                else
                  "lang"
                end
              ),
              attribute.value
            ]
          end
        end

        def decode(bytes)
          text = bytes.dup.force_encoding("UTF-8")
          text = text.gsub(/\r\n?/, "\n") if text.include?("\r")
          return text unless text.include?("&")

          if text.include?("&#")
            Formats::Markup.decode(text)
          else
            ENTITIES.reduce(text) do |found, (name, character)|
              found.include?(name) ? found.gsub(name, character) : found
            end
          end
        end

        def stamp(value)
          (match = DATED.match(value.to_s)) &&
            "#{match[1]}-#{match[2]}-#{match[3]}T#{match[4]}:#{match[5]}:#{match[6]}Z"
        end

        def xml(pair, source_lang, target_lang)
          attributes, extra = pair.attributes, pair.extra || {}
          given = {
            "creationid" => attributes["author"],
            "creationdate" => dated(attributes["created_at"]),
            "changeid" => attributes["changed_by"],
            "changedate" => dated(attributes["updated_at"]),
            "usagecount" => attributes["used"].to_i.positive? ? attributes["used"] : nil
          }
          props =
            PROPERTIES.filter_map do |key|
              (value = attributes[key]) && !value.to_s.empty? && ["tu", "x-#{key}", value]
            end
          all = props + extra["props"].to_a
          notes = extra["notes"].to_a.map { |note| "<note>#{Html.escape(note)}</note>" }.join
          variants =
            [
              ["source", source_lang, pair.source],
              ["target", target_lang, pair.target]
            ].map do |where, tag, text|
              "<tuv#{written("xml:lang" => tag, **extra[where].to_h)}>#{properties(all, where)}<seg>" \
                "#{Codes.seg(text, pair.codes)}</seg></tuv>"
            end
          "<tu#{written(**extra["tu"].to_h, **given.compact)}>#{notes}#{properties(all, "tu")}" \
            "#{variants.join}#{extra["others"].to_a.join}</tu>\n"
        end

        def properties(list, where)
          list
            .select { |one, _, _| one == where }
            .map { |_, type, text| "<prop#{written("type" => type.to_s)}>#{Html.escape(text.to_s)}</prop>" }
            .join
        end

        def written(**attributes) =
          attributes.map { |name, value| " #{name}=\"#{Html.escape(value.to_s)}\"" }.join

        def dated(time) = time && Time.parse(time.to_s).utc.strftime(STAMP)
      end

      # Inline codes of a unit: numbered from 1 in the order the source first has them, the same numbers in
      # the target.
      class Codes
        attr_reader :list

        def self.seg(text, codes)
          return Html.escape(text.gsub(/\\(.)/m, '\1')) unless text.match?(/(?<!\\)\{/)

          known = codes.to_a.to_h { |code| [[code["kind"], code["id"]], code] }
          Content
            .from_written(text)
            .items
            .map do |item|
              next Html.escape(item) if item.is_a?(String)

              code = known[[item.alone? ? "alone" : "pair", item.id]]
              next tag(item, {}, item.written) unless code

              tag(item, code, code[item.close? ? "close" : "raw"].to_s)
            end
            .join
        end

        def self.tag(item, code, raw)
          type = code["type"].to_s.empty? ? "" : " type=\"#{Html.escape(code["type"])}\""
          inner = Html.escape(raw)
          case item.kind
          when :open
            "<bpt i=\"#{item.id}\" x=\"#{item.id}\"#{type}>#{inner}</bpt>"
          when :close
            "<ept i=\"#{item.id}\">#{inner}</ept>"
          else
            "<ph x=\"#{item.id}\"#{type}>#{inner}</ph>"
          end
        end
        private_class_method :tag

        def initialize
          @numbers, @list, @first = {}, [], true
        end

        def read(seg)
          @opened, @alone = {}, Hash.new(0)
          # A pair without both ends in this text is no pair.
          starts, ends = %w[bpt ept].map { |name| seg.xpath(".//#{name}").map { |node| node["i"] } }
          @paired = starts & ends
          written(seg)
        end

        private

        def written(parent)
          parent
            .children
            .map do |node|
              next Content.escape(node.text) if node.text? || node.cdata?

              case node.name
              when "bpt"
                @paired.include?(node["i"]) ? "{#{@opened[node["i"]] = begin_pair(node)}}" : single(node)
              when "ept"
                @opened[node["i"]] ? "{/#{end_pair(node)}}" : single(node)
              when "ph", "it", "ut"
                single(node)
              when "hi"
                "{#{id = number(:pair, node, node["x"] || node["type"])}}".tap do
                  note(id, "pair", node, "")
                end + written(node) + "{/#{id}}"
              else
                ""
              end
            end
            .join
        end

        def begin_pair(node) =
          number(:pair, node, node["x"] || node["i"]).tap { |id| note(id, "pair", node, node.text) }

        def end_pair(node)
          id = @opened[node["i"]]
          code = @list.find { |one| one["id"] == id }
          code["close"] = node.text if code && code["close"].nil?
          id
        end

        # Standalone codes meet by their number, else by type and turn.
        def single(node)
          id = number(:alone, node, node["x"] || "#{node["type"]}/#{@alone[node["type"]] += 1}")
          note(id, "alone", node, node.text)
          "{#{id}/}"
        end

        def number(kind, _node, name) = @numbers[[kind, name]] ||= @numbers.size + 1

        def note(id, kind, node, raw)
          unless @list.any? { |one| one["id"] == id }
            @list << { "id" => id, "kind" => kind, "type" => node["type"], "raw" => raw }.compact
          end
        end
      end
    end
  end
end

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
      PROPERTIES = %w[client subject project file origin key previous next].freeze
      STAMP = "%Y%m%dT%H%M%SZ".freeze

      module_function

      # Writes pairs (any Enumerable of Pair) to anything that takes <<.
      def write(io, pairs, source_lang:, target_lang:)
        io << %(<?xml version="1.0" encoding="UTF-8"?>\n<tmx version="1.4">\n)
        io << %(<header creationtool="Glossema" creationtoolversion="1" segtype="sentence" ) <<
          %(o-tmf="glossema" adminlang="en" srclang="#{source_lang}" datatype="plaintext"/>\n<body>\n)
        pairs.each { |pair| io << Content.well_formed_xml(Unit.xml(pair, source_lang, target_lang)) }
        io << "</body>\n</tmx>\n"
      end

      # Reads from an IO (or a string of bytes). Yields each Pair of the language pair asked for (any region
      # of it) with how many bytes were read so far. Returns {read:, skipped: (units without this pair or
      # without text), faults: [ElementStream::Fault]}. Raises Refused "not-tmx", or "damaged" when nothing at
      # all can be read.
      def read(source, name:, source_lang:, target_lang:, &block)
        Reader.new(
          source.is_a?(String) ? StringIO.new(source.b) : source,
          name,
          [source_lang, target_lang]
        ).run(&block)
      end

      # Reads the units of a stream.
      class Reader
        # A unit of two plain texts, as nearly all are; others are read by the XML parser.
        ATTRIBUTES = %q{(?:\s+[\w:.-]+\s*=\s*(?:"[^"<]*"|'[^'<]*'))*\s*}.freeze
        ASIDE = %{(?:<(?:prop|note)\\b#{ATTRIBUTES}>[^<]*</(?:prop|note)>\\s*)*}.freeze
        VARIANT = %{<tuv\\b(#{ATTRIBUTES})>\\s*(#{ASIDE})<seg\\s*>([^<]*)</seg>\\s*</tuv>\\s*}.freeze
        PLAIN = %r{\A<tu\b(#{ATTRIBUTES})>\s*(#{ASIDE})#{VARIANT}#{VARIANT}</tu>\z}mn
        ATTRIBUTE = /([\w:.-]+)\s*=\s*(?:"([^"]*)"|'([^']*)')/n
        ASIDES = /<(prop|note)\b(#{ATTRIBUTES})>([^<]*)</mn
        STRANGE = /&(?!(?:amp|lt|gt|quot|apos|#\d{1,7}|#x\h{1,6});)|[\x00-\x08\v\f\x0e-\x1f]/n

        def initialize(io, name, languages)
          @name, @languages = name, languages
          @stream = ElementStream.new(io, name, kind: "tmx", roots: %w[tmx], elements: %w[tu])
          @read = @skipped = 0
        end

        def run
          @stream.each do |raw, _, bytes|
            pair = Unit.parse(raw, @languages)
            pair ? (@read += 1) && yield(pair, bytes) : @skipped += 1
          end
          faults = @stream.faults
          if @read.zero? && @skipped.zero? && faults.any?
            raise Refused.new("damaged.tmx", name: @name, line: faults.first.line,
              reason: faults.first.message)
          end

          { read: @read, skipped: @skipped, faults: faults }
        end
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

        # Bytes that stand for no character of XML.
        CONTROLS = "\x00-\x08\v\f\x0e-\x1f".b.freeze

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

          text = Content.holdable(text)
          text.match?(/[{\\]/) ? Content.escape(text) : text
        end

        def tree(raw, languages)
          held = raw.gsub(Content::REFERENCE, "").delete(CONTROLS)
          element = Nokogiri.XML(held, nil, "UTF-8") { |config| config.strict.nonet }.root
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

# TMX 1.4b, the simple kind: units of one language pair with their attributes; inline codes as bpt, ept and ph.
require "time"

module Glossema
  module Exchange
    module Tmx
      # source and target: written form ({1} …); attributes: hash of strings.
      Pair = Struct.new(:source, :target, :attributes, keyword_init: true)
      PROPERTIES = %w[client subject project file origin].freeze
      STAMP = "%Y%m%dT%H%M%SZ".freeze

      module_function

      # Writes pairs (any Enumerable of Pair) to an IO.
      def write(io, pairs, source_lang:, target_lang:)
        io << %(<?xml version="1.0" encoding="UTF-8"?>\n<tmx version="1.4">\n)
        io << %(<header creationtool="Glossema" creationtoolversion="1" segtype="sentence" o-tmf="glossema" adminlang="en" srclang="#{source_lang}" datatype="plaintext"/>\n<body>\n)
        pairs.each { |pair| io << unit(pair, source_lang, target_lang) }
        io << "</body>\n</tmx>\n"
      end

      # Reads a TMX file from a string of bytes; yields each Pair of the language pair asked for (any region of it).
      # Returns {read:, skipped:}. Raises Refused "damaged" with the line when it is not well-formed, "not-tmx" otherwise.
      def read(bytes, name:, source_lang:, target_lang:)
        counts = { read: 0, skipped: 0 }
        root = nil
        reader = Nokogiri::XML::Reader(bytes) { |config| config.strict.nonet }
        reader.each do |node|
          next unless node.node_type == Nokogiri::XML::Reader::TYPE_ELEMENT

          root ||= node.local_name
          raise Refused.new("not-tmx", "#{name} is not a TMX file: it begins with <#{root}>.") unless root == "tmx"
          next unless node.local_name == "tu"

          # What cannot be taken whole is cut off; the reader says so at its next step.
          element = Nokogiri::XML(node.outer_xml).root or next
          pair = parse(element, source_lang, target_lang)
          pair ? (yield(pair) && counts[:read] += 1) : counts[:skipped] += 1
        end
        raise Refused.new("not-tmx", "#{name} is not a TMX file.") unless root

        counts
      rescue Nokogiri::XML::SyntaxError => e
        raise Refused.new("damaged", "#{name} is damaged at line #{e.line}: #{e.message.strip[0, 100]}.")
      rescue RuntimeError
        # The reader's word for a file that ends in the middle of a unit already taken up.
        raise Refused.new("damaged", "#{name} is damaged at line #{bytes.count("\n") + 1}: it ends in the middle.")
      end

      def unit(pair, source_lang, target_lang)
        made, changed = pair.attributes.values_at("created_at", "updated_at").map { |time| time && Time.parse(time).utc.strftime(STAMP) }
        attributes = { "creationid" => pair.attributes["author"], "creationdate" => made, "changedate" => changed, "usagecount" => pair.attributes["used"] }
        props = PROPERTIES.filter_map { |key| (value = pair.attributes[key]) && !value.empty? && "<prop type=\"x-#{key}\">#{Html.escape(value)}</prop>" }
        "<tu#{attributes.compact.map { |key, value| " #{key}=\"#{Html.escape(value.to_s)}\"" }.join}>#{props.join}" \
          "<tuv xml:lang=\"#{source_lang}\"><seg>#{seg(pair.source)}</seg></tuv><tuv xml:lang=\"#{target_lang}\"><seg>#{seg(pair.target)}</seg></tuv></tu>\n"
      end
      private_class_method :unit

      def seg(written)
        Content.from_written(written).items.map do |item|
          next Html.escape(item) if item.is_a?(String)

          case item.kind
          when :open then "<bpt i=\"#{item.id}\" x=\"#{item.id}\">{#{item.id}}</bpt>"
          when :close then "<ept i=\"#{item.id}\">{/#{item.id}}</ept>"
          else "<ph x=\"#{item.id}\">{#{item.id}/}</ph>"
          end
        end.join
      end
      private_class_method :seg

      def parse(element, source_lang, target_lang)
        variants = element.xpath("./*[local-name()='tuv']").to_h { |tuv| [(tuv["xml:lang"] || tuv["lang"] || tuv.attribute_with_ns("lang", "http://www.w3.org/XML/1998/namespace")&.value).to_s, tuv] }
        source, target = [source_lang, target_lang].map do |tag|
          found = variants.keys.find { |key| key.casecmp?(tag) } || variants.keys.find { |key| Languages.same?(key, tag) }
          variants[found]&.at_xpath("./*[local-name()='seg']")
        end
        return nil unless source && target

        props = element.xpath("./*[local-name()='prop']").to_h { |prop| [prop["type"].to_s.delete_prefix("x-"), prop.text] }
        made, changed = stamp(element["creationdate"]), stamp(element["changedate"] || element["creationdate"])
        attributes = props.slice(*PROPERTIES).merge("author" => element["changeid"] || element["creationid"], "created_at" => made, "updated_at" => changed).compact
        numbers = {}
        Pair.new(source: read_seg(source, numbers), target: read_seg(target, numbers), attributes: attributes)
      end
      private_class_method :parse

      def stamp(value)
        value && Time.strptime(value, "%Y%m%dT%H%M%S%z").utc.iso8601
      rescue ArgumentError
        nil
      end
      private_class_method :stamp

      # Codes are numbered by `x` (or `i`) in the order the source first has them.
      def read_seg(seg, numbers)
        number = ->(node, kind) { numbers[[kind, node["x"] || node["i"] || node["type"] || numbers.size]] ||= numbers.size + 1 }
        opened = {}
        seg.children.map do |node|
          next Content.escape(node.text) if node.text? || node.cdata?

          case node.name
          when "bpt" then "{#{opened[node['i']] = number.call(node, :pair)}}"
          when "ept" then opened[node["i"]] ? "{/#{opened[node['i']]}}" : ""
          when "ph", "it", "ut" then "{#{number.call(node, :alone)}/}"
          when "hi" then Content.escape(node.text)
          else ""
          end
        end.join
      end
      private_class_method :read_seg
    end
  end
end

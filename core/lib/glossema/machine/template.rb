# How a service is asked and how its answer is read, described by a template: a JSON value with places to be
# filled, and the path of the translations in the answer.
#
# Places stand in braces in the texts of the request: "{source_lang}", "{target_lang}", "{instructions}",
# "{terms}", "{matches}", "{before}", "{after}", "{text}". A text that is nothing but "{texts}" becomes the
# list of texts; with "{text}" the service is asked for one text at a time. A path is names and places in
# lists: "translations[*].text", "choices[0].message.content", "[*]".
module Glossema
  module Machine
    class Template
      PLACE = /\{([a-z_]+)\}/
      LIST = "{texts}".freeze
      PLACES = %w[source_lang target_lang instructions terms matches before after text texts].freeze
      STEP = /\A(?:\.?([^.\[\]]+)|\[(\d+|\*)\])/

      # request: JSON text; answer: path. Raises Refused "machine-template.*" for what cannot be one.
      def initialize(request:, answer:)
        @request = parse(request)
        @path = steps(answer.to_s.strip)
        named = request.scan(PLACE).flatten
        unknown = named - PLACES
        raise Refused.new("machine-template.place", name: unknown.first) if unknown.any?
        raise Refused.new("machine-template.texts") unless named.intersect?(%w[text texts])

        @named, @single = named, !named.include?("texts")
      end

      # Is it asked for one text at a time?
      def single? = @single

      # Does it ask for what stands around a text: "terms", "matches", "before" or "after"?
      def wants?(place) = @named.include?(place)

      # values: {place => text}; texts: array of String. Returns the value to send.
      def body(texts, values = {})
        fill(@request, { "text" => texts.first.to_s, **values }, texts)
      end

      # answer: a parsed JSON value → the texts in it, nil for one that is left out of its place. Raises
      # Refused "machine-answer.*" when there are others than were asked for.
      def texts(answer, count)
        found = walk([answer], @path)
        raise Refused.new("machine-answer.nothing") if found.compact.empty?
        raise Refused.new("machine-answer.no-text") unless found.compact.all?(String)
        raise Refused.new("machine-answer.count", asked: count, given: found.size) if found.size != count

        found
      end

      private

      def parse(text)
        JSON.parse(text)
      rescue JSON::ParserError => e
        raise Refused.new("machine-template.broken", reason: e.message.lines.first.to_s.strip[0, 100])
      end

      def steps(path)
        rest, list = path.dup, []
        until rest.empty?
          match = rest.match(STEP) or raise Refused.new("machine-template.path", path: path)
          list << (match[1] || (match[2] == "*" ? :all : match[2].to_i))
          rest = match.post_match
        end
        raise Refused.new("machine-template.path", path: path) if list.empty?

        list
      end

      def fill(value, values, texts)
        case value
        when Hash then value.transform_values { |one| fill(one, values, texts) }
        when Array then value.map { |one| fill(one, values, texts) }
        when LIST then texts
        when String then value.gsub(PLACE) { values.fetch(Regexp.last_match(1), "").to_s }
        else value
        end
      end

      # What stands at the end of a path. Of each thing in a list one text is wanted, so that what is left out
      # keeps its place.
      def walk(values, path)
        listed = false
        path.reduce(values) do |list, step|
          found = list.flat_map { |value| at(value, step) }
          found.compact! unless listed ||= step == :all
          found
        end
      end

      def at(value, step)
        return value.is_a?(Array) ? value : [] if step == :all

        fits = step.is_a?(Integer) ? value.is_a?(Array) : value.is_a?(Hash)
        [fits ? value[step] : nil]
      end
    end
  end
end

# What a request to the serving side brings, read value by value.
module Glossema
  module Remote
    # What is asked for wrongly: the HTTP status, a code and a sentence for whoever programs against it.
    class Wrong < StandardError
      attr_reader :status, :code

      def initialize(status, code, message)
        @status, @code = status, code
        super(message)
      end
    end

    class Given
      # values: a Hash, of parsed JSON or of an address.
      def initialize(values)
        @values = values
      end

      # A list that is not empty and not too long.
      def some(name, most)
        list = @values[name]
        return list if list.is_a?(Array) && list.size.between?(1, most)

        raise Wrong.new(422, "amount", "“#{name}” is a list of 1 to #{most}.")
      end

      def texts(name, most) = some(name, most).map { |one| held(one) }
      def text(name) = held(@values[name])

      # A Content of its written form.
      def content(name)
        Content.from_written(text(name))
      rescue Refused => e
        raise Wrong.new(422, "text", e.message)
      end

      # A text that may be missing.
      def word(name) = @values[name].is_a?(String) ? @values[name][0, CHARACTERS] : nil

      # The first of them where none of them is given.
      def one_of(name, list) = list.include?(@values[name]) ? @values[name] : list.first

      def number(name, usual, range)
        Integer(@values[name] || usual).clamp(range)
      rescue ArgumentError, TypeError
        raise Wrong.new(422, "amount", "“#{name}” is a number.")
      end

      # The pair of languages, one that an item holds.
      def pair(item)
        tags = @values.values_at("source_lang", "target_lang").map(&:to_s)
        return tags if tags.all? { |tag| Languages.valid?(tag) } && item.holds?(*tags)

        raise Wrong.new(422, "pair",
          "It does not hold #{tags.join(" → ")}, but #{item.languages.join(", ")}.")
      end

      private

      def held(value)
        return Content.holdable(value) if value.is_a?(String) && value.length.between?(1, CHARACTERS)

        raise Wrong.new(422, "text", "A text has 1 to #{CHARACTERS} characters.")
      end
    end
  end
end

# Finds and replaces in contents: plain or by regular expression, whole words or not, in any case or as
# written. Codes are never touched: each stretch of text between them is looked at for itself.
module Glossema
  class Replacing
    # An expression that takes longer than so many seconds in one text is given up.
    SECONDS = 0.1
    # after: Content; spans: [[from, to] …] of what was put in, in its text.
    Change = Struct.new(:after, :spans)

    # find: text or regular expression; with: what is put in its place; of an expression \1 … \9 and \0, or
    # $1 … $9 and $0, stand for its groups. Raises Refused "find-pattern.…".
    def initialize(find:, with: "", regex: false, cased: false, words: false)
      raise Refused.new("find-pattern.empty") if find.empty?

      raise RegexpError, "longer than #{Expression::LONGEST} characters" if find.length > Expression::LONGEST

      source = regex ? find : Regexp.escape(find)
      source = "(?<![\\p{L}\\p{N}])(?:#{source})(?![\\p{L}\\p{N}])" if words
      @pattern = Expression.compile(source, cased ? 0 : Regexp::IGNORECASE,
        longest: 3 * Expression::LONGEST)
      raise Refused.new("find-pattern.everything", pattern: find) if @pattern.match?("")

      @find, @with, @regex = find, with, regex
    rescue RegexpError => e
      raise Refused.new("find-pattern.broken", pattern: find[0, 200], reason: e.message.split(":").first)
    end

    # Does it stand in the content? Raises Refused "find-pattern.slow".
    def found?(content)
      bounded { content.items.any? { |item| item.is_a?(String) && item.match?(@pattern) } }
    end

    # Content → Change, or nil where nothing is found. Raises Refused "find-pattern.slow".
    def in(content)
      spans, at = [], 0
      items = bounded do
        content.items.map do |item|
          made = item.is_a?(String) ? replaced(item, at, spans) : item
          at += item.is_a?(String) ? made.length : item.equiv.to_s.length
          made
        end
      end
      Change.new(Content.new(items), spans) if spans.any?
    end

    private

    def replaced(text, start, spans)
      made, last = +"", 0
      text.scan(@pattern) do
        match = Regexp.last_match
        made << text[last...match.begin(0)]
        put = @regex ? grouped(match) : @with
        spans << [start + made.length, start + made.length + put.length]
        made << put
        last = match.end(0)
      end
      made << text[last..]
    end

    def grouped(match) = @with.gsub(/[\\$](\d)/) { match[Regexp.last_match(1).to_i].to_s }

    def bounded(&)
      Timeout.timeout(SECONDS, &)
    rescue *Expression::TOO_SLOW
      raise Refused.new("find-pattern.slow", pattern: @find)
    end
  end
end

# Regular expressions that somebody typed or brought: bounded before they are compiled, and where Ruby can,
# while they run.
require "timeout"

module Glossema
  module Expression
    # Longer ones, deeper ones and larger repetitions are no expressions anybody writes; compiling them costs
    # seconds and hundreds of megabytes. Rules of segmentation list abbreviations and are longer.
    LONGEST, LONGEST_RULE = 2_000, 20_000
    DEEPEST = 30
    MOST_TIMES = 1_000
    # What the repetitions of an expression may come to, one in the other.
    MOST_COPIES = 20_000
    ESCAPED = /\\(?:[uxpP]\{[^}]*\}|.)/m
    # Seconds in one text. Callers that are stricter break off sooner.
    SECONDS = 3
    BOUNDED = Regexp.respond_to?(:timeout) ? { timeout: SECONDS }.freeze : {}.freeze
    # What is raised where an expression runs for too long.
    TOO_SLOW = [Timeout::Error, (Regexp::TimeoutError if defined?(Regexp::TimeoutError))].compact.freeze

    module_function

    # source: of a Regexp; options: as Regexp.new takes them. Raises RegexpError, whose message is a reason,
    # for what is none and for what is out of bounds.
    def compile(source, options = 0, longest: LONGEST)
      refuse("longer than #{longest} characters") if source.length > longest
      bare = source.gsub(ESCAPED, "")
      refuse("nested more than #{DEEPEST} deep") if depth(bare) > DEEPEST
      refuse("repeats too often") if copies(bare) > MOST_COPIES
      Regexp.new(source, options, **BOUNDED)
    end

    # How many groups and classes lie in each other at most. In a class parentheses are characters.
    def depth(bare)
      groups = classes = deepest = 0
      bare.each_char do |char|
        case char
        when "[" then classes += 1
        when "]" then classes -= 1 if classes.positive?
        when "(" then groups += 1 if classes.zero?
        when ")" then groups -= 1 if classes.zero? && groups.positive?
        end
        deepest = [deepest, groups + classes].max
      end
      deepest
    end

    # The product of all counted repetitions.
    def copies(bare)
      times = bare.scan(/\{(\d*),?(\d*)\}/).map { |pair| pair.map(&:to_i).max }
      refuse("repeats more than #{MOST_TIMES} times") if times.any? { |count| count > MOST_TIMES }
      times.select { |count| count > 20 }.inject(1) { |all, count| all * count }
    end

    def refuse(reason) = raise(RegexpError, reason)
    private_class_method :depth, :copies, :refuse
  end
end

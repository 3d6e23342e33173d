# Entry of the core: everything a script or the application needs of the rules of the job.
require "nokogiri"
require "json"

module Glossema
  ROOT = File.expand_path("..", __dir__)

  # What the core refuses, in one sentence for the user. `code` is a word, stable for programs.
  class Refused < StandardError
    attr_reader :code

    def initialize(code, message)
      @code = code
      super(message)
    end

    # Where a parser found a fault, as the end of a sentence; parsers' own words are for programmers.
    def self.place(error)
      line = error.respond_to?(:line) ? error.line : error.message.scrub[/\bline (\d+)/, 1]
      line.to_i.positive? ? " near line #{line}" : ""
    end
  end
end

require "glossema/content"
require "glossema/languages"
require "glossema/counting/tokens"
require "glossema/counting/count"
require "glossema/counting/bands"
require "glossema/segmentation/icu"
require "glossema/segmentation/srx"
require "glossema/segmentation/segmenter"
require "glossema/segmentation/splitter"
require "glossema/segmentation/parting"
require "glossema/forms/numbers"
require "glossema/forms/dates"
require "glossema/matching/score"
require "glossema/matching/grams"
require "glossema/matching/adapted"
require "glossema/matching/term_change"
require "glossema/matching/lookup"
require "glossema/formats"
require "glossema/document"
require "glossema/proof"
require "glossema/pseudo"
require "glossema/revision"
require "glossema/exchange/tmx"
require "glossema/exchange/unit_reader"
require "glossema/exchange/table_columns"

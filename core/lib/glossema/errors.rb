# What Glossema raises itself.
module Glossema
  # The root of all of it.
  class Error < StandardError; end

  # What is refused, in one sentence for the user that says what is wrong with what and what to do. `code` is
  # a word, stable for programs; the sentences are in the catalogue (Refusals).
  class Refused < Error
    attr_reader :key, :details

    # key: "code" or "code.variant"; details: what its sentence names.
    def initialize(key, **details)
      @key, @details = key, details
      super(Refusals.sentence(key, details))
    end

    def code = @key[/\A[^.]+/]
  end

  # What a judge cannot read.
  class IllFormed < Error; end
end

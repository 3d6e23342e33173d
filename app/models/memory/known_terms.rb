# The terms by which matches are adapted: as long as nothing better says how a term is translated, the short
# units of the memories.
class Memory::KnownTerms
  # Longer translations are no terms.
  WORDS = 5
  LIMIT = 200

  # words: how long a translation may be.
  def initialize(memories, words: WORDS)
    @ids, @words = memories.map(&:id), words
  end

  # texts: of the source → {text => [its translations, the newest first]}.
  def translations(texts)
    hashes =
      texts.to_h do |text|
        [
          text,
          [text, text.sub(/\A./, &:upcase), text.sub(/\A./, &:downcase)].uniq.map do |one|
            TranslationUnit.hash_of(Glossema::Content.escape(one))
          end
        ]
      end
    found = units(hashes.values.flatten.uniq)
    hashes.transform_values { |list| found.values_at(*list).compact.flatten.uniq }
  end

  private

  def units(hashes)
    return {} if @ids.empty? || hashes.empty?

    rows =
      Memory::Index.select(
        "SELECT source_hash, target FROM translation_units WHERE memory_id IN (#{@ids.join(",")}) AND " \
          "source_hash IN (#{hashes.join(",")}) ORDER BY updated_at DESC LIMIT #{LIMIT}"
      )
    rows
      .reject { |_, target| target.match?(/[{\\.!?:]/) || target.split.size > @words }
      .group_by(&:first)
      .transform_values { |list| list.map(&:last) }
  end
end

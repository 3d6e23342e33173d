# Counts of a text: words, characters and codes.
module Glossema
  module Counting
    Count =
      Struct.new(
        :segments,
        :words,
        :characters,
        :characters_without_spaces,
        :codes,
        :by_character,
        keyword_init: true
      ) do
        # The count of one content (a segment).
        def self.count(content)
          text = content.text
          plain = text.ascii_only? && !text.include?("\r")
          clusters = plain ? nil : text.grapheme_clusters
          new(
            segments: 1,
            words: Tokens.words(text),
            characters: plain ? text.length : clusters.size,
            characters_without_spaces:
              (
                if plain
                  text.count("^ \t\n\v\f")
                else
                  clusters.count { |cluster| !cluster.match?(/\A[[:space:]]/) }
                end
              ),
            codes: content.code_count,
            by_character: !plain && Tokens.by_character?(text)
          )
        end

        def self.zero =
          new(
            segments: 0,
            words: 0,
            characters: 0,
            characters_without_spaces: 0,
            codes: 0,
            by_character: false
          )

        def +(other)
          Count.new(
            **(members - [:by_character]).to_h { |name| [name, self[name] + other[name]] },
            by_character: by_character || other.by_character
          )
        end
      end
  end
end

# TMX as a file to translate: each unit's text in the source language with the one in the target language, if
# it has one.
require "glossema/formats/bilingual/xliff"

module Glossema
  module Formats
    class TmxFile < Xliff
      Formats.announce(self, rank: 20)

      NAME = "TMX".freeze
      EXTENSIONS = %w[tmx].freeze
      MEDIA_TYPE = "application/x-tmx+xml".freeze
      DEFAULTS = { "target_language" => Inner.new(""), "encoding" => "" }.freeze

      def self.recognises?(bytes, _name)
        EncodedText.text?(bytes) &&
          EncodedText.head(bytes).match?(
            /\A\s*(?:<\?xml[^>]*>\s*)?(?:<!--.*?-->\s*|<!DOCTYPE[^>]*>\s*)*<tmx\b/m
          )
      end

      def source_language
        tag = canonical(tree.elements.first.child("header")&.[]("srclang"))
        tag if tag && Languages.valid?(tag)
      end

      def target_language = @options["target_language"].to_s.then { |tag| tag.empty? ? others.first : tag }

      private

      def further_edits(_contents, _target_language) = []

      def canonical(tag)
        parts = tag.to_s.tr("_", "-").split("-")
        [parts.first.to_s.downcase, *parts.drop(1).map { |part| part.length == 2 ? part.upcase : part }].join(
          "-"
        )
      end

      def language_of(tuv) = canonical(tuv["xml:lang"] || tuv["lang"])
      def texts = @texts ||= tree.every("tu")

      def others =
        texts
          .first(50)
          .flat_map { |tu| tu.all("tuv").map { |tuv| language_of(tuv) } }
          .tally
          .sort_by { |_, count| -count }
          .map(&:first)
          .reject { |tag| source_language && Languages.same?(tag, source_language) }

      def walk(_tree, _context)
        unless source_language
          raise Refused.new("language-missing", name: @name)
        end

        texts.each_with_index { |tu, index| text(tu, index + 1) }
      end

      def text(tu, number)
        variants = tu.all("tuv")
        source = pick(variants, source_language)&.child("seg") or return
        tuv = target_language && pick(variants, target_language)
        target = tuv&.child("seg")
        notes = tu.all("note").map { |note| note.inner_text.strip }
        facts = { note: notes.join(" · "), key: tu["tuid"],
                  location: Location.new("unit", number: tu["tuid"] || number) }
        take(
          unique("u#{tu["tuid"] || number}"),
          source,
          target,
          facts,
          target && "translated",
          []
        ) do |content, _state|
          next [[target.open_to, target.inner_to, markup(content)]] if target&.close_from
          next [[target.from, target.to, "<seg>#{markup(content)}</seg>"]] if target

          last = variants.last
          [
            [
              last.to,
              last.to,
              "#{gap_before(last)}<tuv xml:lang=\"#{target_language}\"><seg>#{markup(content)}</seg></tuv>"
            ]
          ]
        end
        # A variant that is added stands after the others.
        tuv ? @free << [tuv.from, tuv.to] : @free << [variants.last.to, variants.last.to]
      end

      def pick(variants, tag) =
        variants.find { |tuv| language_of(tuv).casecmp?(tag) } ||
          variants.find { |tuv| Languages.same?(language_of(tuv), tag) }

      def number(node) = node["x"] || node["i"] || node["type"]
      def tie(node) = node["i"]
    end
  end
end

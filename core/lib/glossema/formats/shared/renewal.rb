# Computed texts that repeat what stands elsewhere in a document (contents, lists of figures,
# cross-references, running heads): they are written anew from the translation of what they repeat; page
# numbers are kept. What repeats nothing that was translated, and is not a number, is named in `left`.
module Glossema
  module Formats
    class Renewal
      # Texts that were in the source language and could not be renewed.
      attr_reader :left

      def initialize
        @texts, @anchors, @left = {}, {}, []
      end

      # source, target: what a reader saw of a paragraph before and sees now; anchors: names that lead to it.
      def learn(source, target, anchors: [], weak: false)
        key = fold(source)
        return if key.empty?

        weak ? @texts[key] ||= target.strip : @texts[key] = target.strip
        anchors.each { |name| @anchors[name] = [key, target.strip] }
      end

      # What a text that repeats another reads now, or nil when it repeats nothing that is known. anchor:
      # where it leads.
      def text_for(text, anchor = nil)
        key = fold(text)
        source, target = @anchors[anchor]
        return target if source == key

        @texts[key]
      end

      # Renews the first of these texts that is known; pieces: arrays of nodes, each with one text. Answers
      # whether anything changed. The block sets the text of a node.
      def renew(pieces, anchor = nil, &block)
        pieces = pieces.select { |piece| text_of(piece).match?(/\p{L}/) }
        return false if pieces.empty?

        found = pieces.find { |piece| text_for(text_of(piece), anchor) }
        if found.nil?
          left << pieces.map { |piece| text_of(piece).strip }.join(" ")
          return false
        end
        put(found, text_for(text_of(found), anchor), &block)
      end

      private

      def text_of(piece) = piece.map(&:text).join

      def put(piece, target)
        before = text_of(piece)
        return false if fold(before) == fold(target)

        edges = [before[/\A[[:space:]]*/], before[/(?<![[:space:]])[[:space:]]*\z/]]
        piece.each_with_index { |node, index| yield node, index.zero? ? edges.join(target) : "" }
        true
      end

      def fold(text) = text.gsub(/[[:space:]]+/, " ").strip
    end
  end
end

# Where an entry stands in texts, and how it was translated there.
module Glossema
  module Terms
    class Places
      # keys: of the texts it stands in, in order; renderings: [[term, keys] …], the most frequent first, of
      # those translated; a term that is nil stands for something else than the entry says.
      Answer = Struct.new(:keys, :renderings)

      # languages: [source tag, target tag]
      def initialize(entry, languages)
        @source, @target = languages.map { |tag| Finder.new(tag, [entry]) }
      end

      # texts: [[key, source, translation or nil] …] → Answer.
      def in(texts)
        found = texts.select { |_, source, _| @source.find(source).any? }
        made = found.select { |_, _, translation| translation }.group_by do |_, _, translation|
          @target.find(translation).first&.term&.written
        end
        renderings = made.transform_values { |rows| rows.map(&:first) }.sort_by { |_, keys| -keys.size }
        Answer.new(found.map(&:first), renderings)
      end
    end
  end
end

# The command that aligns two finished files.
module Glossema
  class Cli
    module Aligning
      def align
        paths = [argument("SOURCE"), argument("TARGET")]
        languages = [need(:source_lang, "--source-lang"), need(:target_lang, "--target-lang")]
        contents = aligned_contents(paths, languages)
        pieces = contents.map { |segments| segments.map { |segment| Alignment::Piece.from_segment(segment) } }
        beads = Alignment::Aligner.new(*pieces, given: aligned_terms(languages)).beads
        beads.each { |bead| say(told_bead(bead, pieces)) }
        write_pairs(beads, contents.map { |list| list.map(&:content) }, languages, paths) if @options[:output]
        DONE
      end

      private

      def aligned_contents(paths, languages)
        paths.each { |path| raise Refused.new("missing", path: path) unless File.file?(path) }
        if File.binread(paths.first) == File.binread(paths.last)
          raise Refused.new("align-same", name: File.basename(paths.first))
        end

        paths.zip(languages).map do |path, lang|
          @options[:source_lang] = lang
          document(path).segments.reject { |segment| segment.content.text.strip.empty? }
        end
      end

      # What a termbase says of the two languages.
      def aligned_terms(languages)
        return [] unless @options[:termbase]

        termbase(@options[:termbase], languages).flat_map do |entry|
          languages.map { |lang|
            entry.in(lang).flat_map(&:usable).map(&:text)
          }.then { |ones, others| ones.product(others) }
        end
      end

      def told_bead(bead, pieces)
        texts = [bead.source, bead.target].zip(pieces).map { |range, list| list[range].map(&:text) }
        { "source" => texts[0], "target" => texts[1], "probability" => bead.probability }
      end

      def write_pairs(beads, contents, languages, paths)
        pairs = beads.reject(&:one_sided?).map do |bead|
          source, target = Alignment::Pair.written(contents[0][bead.source], contents[1][bead.target],
            languages)
          Exchange::Tmx::Pair.new(source: source, target: target, attributes: { "origin" => "aligned",
                                                                                "file" => paths.map { |path|
                                                                                  File.basename(path)
                                                                                }.join(" · ") })
        end
        File.open(@options[:output], "wb") do |out|
          Exchange::Tmx.write(out, pairs, source_lang: languages[0], target_lang: languages[1])
        end
      end
    end
  end
end

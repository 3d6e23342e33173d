# The commands about words: terms found and proposed, what is carried over, spelling. Each reads standard
# input line by line and answers each line with one.
module Glossema
  class Cli
    module Words
      def terms
        case act = argument("find or candidates")
        when "find" then find_terms
        when "candidates" then candidates
        else raise Refused.new("usage.unknown", name: act)
        end
      end

      def carry
        languages = [need(:source_lang, "--source-lang"), need(:target_lang, "--target-lang")]
        each_line { |line| Forms::Carried.in(line, *languages).map(&:to_h) }
      end

      def spell
        lang = need(:lang, "--lang")
        own = @options[:words] ? lines_of(@options[:words]) : []
        checker = Spelling::Checker.new(lang, words: own)
        raise Refused.new("no-dictionary", lang: lang) unless checker.there?

        each_line do |line|
          checker.faults(line).map { |fault| { **fault.to_h, suggestions: checker.suggestions(fault.word) } }
        end
      end

      private

      def find_terms
        lang = need(:lang, "--lang")
        entries = termbase(need(:termbase, "--termbase"), [lang])
        finder = Terms::Finder.new(lang, entries, recognise: @options[:recognise] || "alike")
        each_line do |line|
          finder.find(line).map do |found|
            {
              from: found.from, to: found.to, term: found.term.written, entry: found.entry.id,
              targets: found.entry.targets(lang)
            }
          end
        end
      end

      def candidates
        raise Refused.new("usage.missing", name: "FILE") if @arguments.empty?

        lang = need(:lang, "--lang")
        known = @options[:termbase] ? termbase(@options[:termbase], [lang]) : []
        texts = @arguments.flat_map { |path| document(path).segments.map { |segment| segment.content.text } }
        found = Terms::Candidates.new(texts, lang, known: known).list(limit: @options[:limit] || 100)
        found.each { |candidate| say(candidate.to_h) }
        DONE
      end

      # The entries of a termbase in a file; what has no id is called by its place.
      def termbase(path, languages)
        raise Refused.new("missing", path: path) unless File.file?(path)

        entries = []
        Exchange::TermFile.read(File.binread(path), name: File.basename(path),
          languages: languages) do |entry, _|
          entry.id ||= (entries.size + 1).to_s
          entries << entry
        end
        entries
      end

      def each_line
        @input.each_line(chomp: true) do |line|
          raise Refused.new("encoding.standard-input") unless line.valid_encoding?

          say(yield(line))
        end
        DONE
      end

      def lines_of(path)
        raise Refused.new("missing", path: path) unless File.file?(path)

        File.readlines(path, chomp: true, encoding: "UTF-8").map(&:strip).reject(&:empty?)
      end
    end
  end
end

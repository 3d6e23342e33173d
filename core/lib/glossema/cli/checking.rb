# The command that checks a bilingual file.
module Glossema
  class Cli
    module Checking
      # A row of a bilingual file: its number from 1, a Pair.
      Row = Struct.new(:number, :pair)

      def check
        path = argument("FILE")
        languages = [need(:source_lang, "--source-lang"), need(:target_lang, "--target-lang")]
        rules, terms, @bad, rows = profile, vocabulary(languages), 0, []
        checker = Checks::Checker.new(rules, terms: terms)
        rows_of(path, languages).each do |row|
          next sourceless(path, row) if sourceless?(row.pair)

          checker.findings(row.pair).each { |finding| print_finding(finding, row) }
          rows << row if across?(rules)
        end
        tell_across(rows, rules, terms)
        checker.given_up.each { |name| @errors.puts(Refused.new("own-slow", name: name).message) }
        @bad.zero? ? DONE : NO
      end

      private

      def print_finding(finding, row)
        @bad += 1 if finding.level == "must-fix"
        say("segment" => row.number, **finding_row(finding, row.pair))
      end

      # What is only seen across a text is looked for where the profile says so: a memory is full of it.
      def across?(rules) = Checks::Across::CODES.any? { |code| ![nil, "off"].include?(rules.level_of(code)) }

      def tell_across(rows, rules, terms)
        asked = rows.reject { |row| row.pair.untranslated? }.map do |row|
          Checks::Across::Row.new(id: row.number, number: row.number, source: row.pair.from,
            target: row.pair.into, terms: terms&.uses(row.pair.from, row.pair.into))
        end
        by_number = rows.to_h { |row| [row.number, row] }
        Checks::Across.findings(asked, rules).each do |number, list|
          list.each do |finding|
            print_finding(finding, by_number.fetch(number)) unless rules.level_of(finding.code).nil?
          end
        end
      end

      # A translation of nothing: said, and the rest is checked.
      def sourceless?(pair) = pair.from.match?(/\A[[:space:]]*\z/) && !pair.untranslated?

      def sourceless(path, row)
        @errors.puts(Refused.new("row-sourceless", name: File.basename(path), row: row.number).message)
      end

      # A target without codes is given as the text it is.
      def finding_row(finding, pair)
        fix = finding.fix && !pair.target.coded? ? Content.plain(finding.fix) : finding.fix
        { **finding.to_h.except(:other, :key, :details), fix: fix }.transform_keys(&:to_s)
      end

      def vocabulary(languages)
        return unless @options[:termbase]

        Checks::Vocabulary.from_entries(termbase(@options[:termbase], languages), *languages)
      end

      def profile
        path = @options[:profile] or return Checks::Profile.new
        raise Refused.new("missing", path: path) unless File.file?(path)

        Checks::Profile.new(JSON.parse(File.read(path, encoding: "UTF-8")))
      rescue JSON::ParserError, EncodingError
        raise Refused.new("profile-broken.no-object")
      end

      def rows_of(path, languages)
        raise Refused.new("missing", path: path) unless File.file?(path)

        case File.extname(path).downcase
        when ".tsv" then rows_of_table(path, languages)
        when ".tmx" then rows_of_memory(path, languages)
        else rows_of_document(path, languages)
        end
      end

      # No heading, no quoting; white space is kept. A row without a tab has no target.
      def rows_of_table(path, languages)
        lines = File.read(path, encoding: "UTF-8").delete_prefix("\uFEFF")
        raise Refused.new("encoding.file", name: File.basename(path)) unless lines.valid_encoding?

        lines.split(/\r?\n/).each_with_index.lazy.map do |line, index|
          source, target = line.split("\t", 3)
          row(index + 1, Content.text(source.to_s), Content.text(target.to_s), languages)
        end
      end

      def rows_of_memory(path, languages)
        pairs = []
        Exchange::Tmx.read(File.binread(path), name: File.basename(path), source_lang: languages[0],
          target_lang: languages[1]) { |pair, _| pairs << pair }
        pairs.each_with_index.lazy.map do |pair, index|
          row(index + 1, *[pair.source, pair.target].map { |text| Content.from_written(text) }, languages)
        end
      end

      def rows_of_document(path, languages)
        @options[:source_lang], @options[:target_lang] = languages
        opened = document(path)
        raise Refused.new("not-bilingual", name: opened.name) unless opened.bilingual?

        opened.segments.each_with_index.lazy.map do |segment, index|
          row(index + 1, segment.content, segment.target, languages, segment.unit.limit)
        end
      end

      def row(number, source, target, languages, limit = nil)
        pair = Checks::Pair.new(source: source, target: target, source_lang: languages[0],
          target_lang: languages[1], limit: limit)
        Row.new(number, pair)
      end
    end
  end
end

# The commands of bin/glossema that need no database. The application adds those that do.
require "optparse"
require "glossema"
require "glossema/cli/words"
require "glossema/cli/checking"
require "glossema/cli/reviewing"
require "glossema/cli/timing_cues"
require "glossema/cli/aligning"

module Glossema
  class Cli
    include Words
    include Checking
    include Reviewing
    include TimingCues
    include Aligning

    DONE, NO, REFUSED = 0, 1, 2
    COMMANDS = %w[extract merge roundtrip segment count score terms carry spell check sheet cues align].freeze
    HELP = File.expand_path("../../data/help.txt", __dir__)
    USAGE = "Usage: bin/glossema COMMAND …; bin/glossema --help lists the commands.".freeze

    def initialize(arguments, input, output, errors)
      @arguments, @input, @output, @errors = arguments.dup, input, output, errors
      [@input, @output, @errors].each { |io| io.set_encoding("UTF-8") if io.respond_to?(:set_encoding) }
      @options = { by: "sentence", format: {} }
    end

    # Runs the command; returns the exit status.
    def run
      command = @arguments.shift
      return help if %w[help --help -h].include?(command) && @arguments.empty?
      return refuse(USAGE) unless self.class::COMMANDS.include?(command)

      parse_options
      public_send(command)
    rescue Refused => e
      refuse(e.message)
    rescue OptionParser::ParseError => e
      refuse("#{e.message}.")
    rescue Errno::EPIPE
      DONE
    rescue SystemCallError => e
      refuse("#{e.message.sub(/ @ \w+/, "")}.")
    rescue JSON::ParserError => e
      refuse("The input is not valid JSON: #{e.message.lines.first.strip[0, 100]}.")
    rescue StandardError => e
      # Never a backtrace for the user; whoever mends it asks for one.
      raise if ENV["GLOSSEMA_TRACE"]

      refuse(
        "#{@file_name || command} was not processed because of an error in Glossema (#{e.class}: " \
          "#{e.message.lines.first.to_s.strip[0, 120]})."
      )
    end

    def help
      @output.write(File.read(HELP))
      DONE
    end

    def extract
      opened = document
      opened.segments.each do |segment|
        content = segment.content
        say(
          "id" => segment.id,
          "unit" => segment.unit.id,
          "path" => segment.unit.path,
          "source" => content.written,
          "text" => content.text,
          "codes" => content.code_count,
          "note" => segment.unit.note,
          "limit" => segment.unit.limit,
          "key" => segment.unit.key,
          **(opened.bilingual? ? { "target" => segment.target&.written, "state" => segment.state } : {})
        )
      end
      DONE
    end

    def merge
      opened = document(argument("FILE"))
      targets = read_targets(argument("TARGETS"), opened)
      bytes = opened.write(targets, target_language: need(:target_lang, "--target-lang"))
      File.binwrite(need(:output, "-o"), bytes)
      proof = Proof.new(opened, bytes, targets)
      say(proof.to_h)
      proof.identical? ? DONE : NO
    end

    def roundtrip
      opened = document
      targets =
        (
          if @options[:pseudo]
            opened.segments.to_h { |segment| [segment.id, Pseudo.translate(segment.content)] }
          else
            as_it_is(opened)
          end
        )
      bytes = opened.write(targets, target_language: @options[:target_lang])
      proof = Proof.new(opened, bytes, targets)
      File.binwrite(need(:output, "-o"), bytes)
      say(proof.to_h)
      proof.identical? ? DONE : NO
    end

    def segment
      text = @input.read.to_s
      raise Refused.new("encoding.standard-input") unless text.valid_encoding?

      segmenter = Segmentation::Segmenter.new(need(:lang, "--lang"), by: @options[:by], rules: rules)
      segmenter.segments(text).each { |piece| @options[:plain] ? @output.puts(piece) : say(piece) }
      DONE
    end

    def count
      raise Refused.new("usage.nothing-to-count") if @arguments.empty?

      rates = @options[:rates] && read_rates(@options[:rates])
      opened = @arguments.map { |path| document(path) }
      answer = counted(opened, opened.flat_map { |one| matched(one, @options[:against]) })
      answer["beside"] = beside(answer, opened) if @options[:beside]
      answer["quote"] = Counting::Quote.new(answer["bands"], rates).to_h if rates
      say(answer)
      DONE
    end

    def score
      comparison = Matching::Score.compare(*2.times.map { Content.from_written(argument("a text")) })
      say(
        "score" => comparison.score,
        "distance" => comparison.distance,
        "differences" =>
          comparison.differences.map do |difference|
            { "op" => difference.op, "source" => difference.source, "memory" => difference.memory }
          end
      )
      DONE
    end

    private

    # The contents of a document with the best match of each in a memory of this name, for bands. Memories are
    # the application's; here there is none.
    def matched(opened, _memory) = opened.segments.map { |segment| [segment.content, nil] }

    # The count of some documents; matched: what all their segments have in the memory, in order.
    def counted(opened, matched)
      bands = Counting::Bands.assign(matched)
      rows =
        opened.map do |one|
          counts = one.segments.map { |segment| Counting::Count.count(segment.content) }
          bands.shift(counts.size).zip(counts)
        end
      files = opened.zip(rows).map { |one, own| { "name" => one.name, **sums(own) } }
      { "files" => files, **sums(rows.flatten(1)) }
    end

    # rows: [[band, Count] …]
    def sums(rows) = { **figures(rows.map(&:last)), "bands" => Counting::Bands.sum(rows) }

    # The same documents counted against another memory, or none, and what the first count has more.
    def beside(answer, opened)
      name = @options[:beside] == "none" ? nil : @options[:beside]
      other = counted(opened, opened.flat_map { |one| matched(one, name) })
      {
        **other.slice("words", "bands"),
        "differences" => Counting::Comparison.differences(answer["bands"], other["bands"])
      }
    end

    def read_rates(path)
      raise Refused.new("missing", path: path) unless File.file?(path)

      given = JSON.parse(File.read(path, encoding: "UTF-8"))
      raise Refused.new("rates-broken.no-object", name: File.basename(path)) unless given.is_a?(Hash)

      Counting::Rates.new(given)
    rescue JSON::ParserError, EncodingError
      raise Refused.new("rates-broken.no-object", name: File.basename(path))
    rescue Refused => e
      raise if e.details.key?(:name) || e.details.key?(:path)

      raise Refused.new("rates-broken.refused", name: File.basename(path), reason: e.message)
    end

    def parse_options
      OptionParser
        .new do |parser|
          parser.on("--source-lang L") { |value| @options[:source_lang] = language(value) }
          parser.on("--target-lang L") { |value| @options[:target_lang] = language(value) }
          parser.on("--lang L") { |value| @options[:lang] = @options[:source_lang] = language(value) }
          parser.on("--by UNIT", %w[sentence paragraph]) { |value| @options[:by] = value }
          parser.on("--beside MEMORY") { |value| @options[:beside] = value }
          parser.on("--rates FILE") { |value| @options[:rates] = value }
          parser.on("--rules FILE") { |value| @options[:rules] = value }
          parser.on("--options JSON") { |value| @options[:format] = JSON.parse(value) }
          parser.on("--profile FILE") { |value| @options[:profile] = value }
          parser.on("--termbase FILE") { |value| @options[:termbase] = value }
          parser.on("--recognise WAY", %w[exact open alike]) { |value| @options[:recognise] = value }
          parser.on("--words FILE") { |value| @options[:words] = value }
          parser.on("--limit N", Integer) { |value| @options[:limit] = value.clamp(1, 100_000) }
          parser.on("--limits JSON") { |value| @options[:limits] = JSON.parse(value) }
          parser.on("--[no-]instructions") { |value| @options[:instructions] = value }
          parser.on("--[no-]tracking") { |value| @options[:tracking] = value }
          parser.on("--pseudo") { @options[:pseudo] = true }
          parser.on("--plain") { @options[:plain] = true }
          more_options(parser)
          parser.on("-o FILE") { |value| @options[:output] = value }
        end
        .parse!(@arguments)
    end

    def more_options(parser) = parser

    def language(value)
      if Languages.valid?(value)
        value
      else
        raise(Refused.new("language-unknown.tag", value: value))
      end
    end

    def rules =
      if @options[:rules]
        Segmentation::Srx.new(File.read(@options[:rules], encoding: "UTF-8"))
      else
        Segmentation::Srx.default
      end

    def document(path = argument("FILE"))
      raise Refused.new("missing", path: path) unless File.file?(path)

      @file_name = File.basename(path)
      Document.new(
        File.binread(path),
        name: @file_name,
        language: @options[:source_lang],
        by: @options[:by],
        rules: rules,
        options: {
          **(@options[:target_lang] ? { "target_language" => @options[:target_lang] } : {}),
          **@options[:format]
        }
      )
    end

    # What leaves the file the same: its sources, or the translations it holds.
    def as_it_is(opened)
      opened
        .segments
        .reject { |segment| segment.unit.extra }
        .to_h { |segment| [segment.id, opened.bilingual? ? segment.target : segment.content] }
        .compact
    end

    def read_targets(path, opened)
      segments = opened.segments.to_h { |segment| [segment.id, segment] }
      File
        .readlines(path, chomp: true, encoding: "UTF-8")
        .reject(&:empty?)
        .each_with_index
        .to_h do |line, index|
          row = JSON.parse(line)
          segment =
            segments[row["id"]] ||
            raise(
              Refused.new(
                "segment-unknown",
                path: path,
                line: index + 1,
                name: opened.name,
                id: row["id"].inspect
              )
            )
          [segment.id, Content.parse(row["target"].to_s, segment.content)]
        rescue Refused => e
          raise e unless e.code == "code-unknown"

          raise Refused.new("code-unknown.line", path: path, line: index + 1, written: e.details[:written])
        end
    end

    def figures(counts)
      sum = counts.sum(Counting::Count.zero)
      {
        "words" => sum.words,
        "characters" => sum.characters,
        "characters_without_spaces" => sum.characters_without_spaces,
        "segments" => sum.segments,
        "codes" => sum.codes,
        **(sum.by_character ? { "counted_by_character" => true } : {})
      }
    end

    def argument(name) = @arguments.shift || raise(Refused.new("usage.missing", name: name))
    def need(option, name) = @options[option] || raise(Refused.new("usage.missing", name: name))

    def say(value)
      @output.puts(JSON.generate(value))
      @output.flush
    end

    def refuse(sentence)
      @errors.puts(sentence.lines.map(&:strip).join(" "))
      REFUSED
    end
  end
end

# A million units for measuring, from the sample memory: its units, and variations of them made by a script
# with a fixed seed (other numbers, words exchanged for words of other units, parts of two units joined).
# Yields [source, target].
require "zlib"

module TranslationUnits
  SAMPLE = File.expand_path("../../shared/samples/memory-en-nl.tsv.gz", __dir__)

  module_function

  def sample
    @sample ||=
      Zlib::GzipReader
        .open(SAMPLE, external_encoding: "UTF-8") do |io|
          io.each_line.map { |line| line.chomp.split("\t", 2) }
        end
        .select { |pair| pair.size == 2 && pair.none? { |text| text.strip.empty? } }
  end

  def each(count, seed: 20_261_123)
    return to_enum(:each, count, seed: seed) unless block_given?

    random = Random.new(seed)
    sample.first(count).each { |pair| yield pair }
    (count - sample.size).times { yield varied(random) }
  end

  # So many units as a TMX file from English to Dutch.
  def write_tmx(path, count)
    pairs = each(count).lazy.map { |source, target| pair(source, target) }
    File.open(path, "w") do |io|
      Glossema::Exchange::Tmx.write(io, pairs, source_lang: "en", target_lang: "nl")
    end
  end

  def pair(source, target)
    Glossema::Exchange::Tmx::Pair.new(
      source: Glossema::Content.escape(source),
      target: Glossema::Content.escape(target),
      attributes: { "author" => "Anneke Vos", "created_at" => "2026-01-01T00:00:00Z" }
    )
  end

  def varied(random)
    source, target = sample[random.rand(sample.size)]
    other, other_target = sample[random.rand(sample.size)]
    case random.rand(4)
    when 0
      [source, target].map { |text| "#{text} #{random.rand(100_000)}" }
    when 1
      ["#{source} #{other}", "#{target} #{other_target}"]
    when 2
      [exchanged(source, other, random), target]
    else
      [half(source) + half(other, last: true), half(target) + half(other_target, last: true)]
    end
  end

  def exchanged(text, other, random)
    words, strange = text.split, other.split
    [1, words.size / 4].max.times { words[random.rand(words.size)] = strange[random.rand(strange.size)] }
    words.join(" ")
  end

  def half(text, last: false)
    words = text.split
    (last ? words.last((words.size / 2) + 1) : words.first((words.size / 2) + 1))
      .join(" ")
      .then { |part| last ? " #{part}" : part }
  end
end

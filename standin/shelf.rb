# A memory and a termbase held in memory, as the core's service takes them: what the stand-ins for other
# servers serve.
require "glossema"

module StandIn
  # A memory of units from lines "source TAB target".
  class Shelf
    Unit = Glossema::Remote::Unit

    attr_reader :languages

    # rows: [[source, target] …] of plain texts; by: the author of all of them.
    def initialize(languages, rows, by:)
      @languages, @by = languages, by
      @units, @lock = [], Mutex.new
      @pool = Glossema::Matching::Pool.new(languages)
      rows.each { |source, target| put(unit(source, target)) }
    end

    def size = @units.size

    def matches(query, threshold:, limit:)
      found = Glossema::Matching::Lookup.new([@pool]).matches(query, threshold: threshold, limit: limit)
      found.map { |match| @units[match.candidate.attributes["place"]] }
    end

    def concordance(text, side:, limit:, **)
      words = text.downcase.scan(/[[:alnum:]]+/)
      @units.select { |unit| words.all? { |word| unit[side].downcase.include?(word) } }.first(limit)
    end

    def units(after:, limit:) = @units.select { |unit| unit.id.to_i > after }.first(limit)

    # One with an id that came before is what it says now.
    def learn(units)
      @lock.synchronize { units.count { |unit| place(unit) } }
    end

    private

    def unit(source, target)
      texts = [source, target].map { |text| Glossema::Content.escape(text) }
      Unit.new(source: texts[0], target: texts[1], author: @by, origin: "typed",
        changed_at: "2026-03-02T09:00:00Z")
    end

    def put(unit)
      unit.id ||= (@units.size + 1).to_s
      source, target = [unit.source, unit.target].map { |text| Glossema::Content.from_written(text) }
      @pool.add(source, target: target, attributes: { "place" => @units.size })
      @units << unit
    end

    def place(unit)
      own = @units.index { |one| one.id == unit.id }
      return put(unit) unless own
      return false if @units[own].target == unit.target

      @units[own].target = unit.target
      true
    end
  end

  # A termbase from lines, the first of them language tags.
  class TermShelf
    attr_reader :languages

    def initialize(rows)
      @languages, *lines = rows
      @entries = lines.each_with_index.map { |texts, index| entry(texts, index + 1) }
      @finders = {}
    end

    def size = @entries.size
    def finder(tag) = @finders[tag] ||= Glossema::Terms::Finder.new(tag, @entries)
    def entries(after:, limit:) = @entries.select { |entry| entry.id.to_i > after }.first(limit)

    def learn(entries)
      entries.each { |entry| @entries << entry.tap { entry.id = (@entries.size + 1).to_s } }
      @finders.clear
      entries.size
    end

    private

    def entry(texts, id)
      sections = @languages.zip(texts).map do |lang, text|
        Glossema::Terms::Section.new(lang: lang, terms: [Glossema::Terms::Term.new(text: text)])
      end
      Glossema::Terms::Entry.new(id: id.to_s, sections: sections)
    end
  end
end

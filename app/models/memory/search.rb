# The units of a memory that fit a search: words, facets, or what the tidy-up lists.
class Memory::Search
  FACETS = %w[client subject author project origin].freeze
  MANY = 12

  def initialize(memory, params)
    @memory, @params = memory, params
  end

  def units
    scope = listed || @memory.units
    scope = scope.where(id: matching) if words.any?
    scope = with_symbols(scope) if searched.symbols
    FACETS.reduce(scope) do |found, facet|
      if @params[facet].present?
        found.where(facet => @params[facet] == "–" ? [nil, ""] : @params[facet])
      else
        found
      end
    end
  end

  # Near twins stand together where the tidy-up lists them; a whole memory comes as it was made, the newest
  # first.
  def order
    return %i[source_hash id] if %w[duplicates contradictions].include?(@params[:tidy])

    words.any? ? { updated_at: :desc, id: :desc } : { id: :desc }
  end

  def count = units.count

  # {facet => [[value, how many], …]}.
  def facets
    FACETS.to_h do |facet|
      [
        facet,
        units
          .group(facet)
          .order(Arel.sql("COUNT(*) DESC"))
          .limit(MANY)
          .count
          .map { |value, count| [value.presence || "–", count] }
      ]
    end
  end

  private

  # What the tidy-up lists, when that is asked for.
  def listed
    kind = @params[:tidy]
    Memory::Tidy.new(@memory).public_send(kind) if Memory::Tidy::KINDS.include?(kind)
  end

  def searched = @searched ||= Glossema::Searched.new(@params[:text])
  def words = searched.words

  # Symbols are no words of the full-text index.
  def with_symbols(scope)
    written = Glossema::Content.escape(searched.symbols)
    sides = %w[source target].include?(@params[:side]) ? [@params[:side]] : %w[source target]
    scope.where(sides.map { |side|
      "instr(translation_units.#{side}, :written) > 0"
    }.join(" OR "), written: written)
  end

  # Ids of the units with all words; the last one may still be typed.
  def matching
    side = %w[source target].include?(@params[:side]) ? "#{@params[:side]}: " : ""
    query =
      "#{side}" \
"#{words.map.with_index { |word, index|
  "\"#{Memory::Index.parted(word)}\"#{"*" if index == words.size - 1}"
}.join(" AND ")}"
    Memory::Index.select(
      "SELECT u.id FROM memory_texts CROSS JOIN translation_units u ON u.id = memory_texts.rowid WHERE " \
        "memory_texts MATCH ? AND +u.memory_id = ? LIMIT 20000",
      [query, @memory.id]
    ).flatten
  end
end

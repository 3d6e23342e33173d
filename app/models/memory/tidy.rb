# What in a memory deserves a look: doubles, contradictions, empty and untranslated units, damaged codes,
# unlikely lengths.
class Memory::Tidy
  KINDS = %w[duplicates contradictions empty untranslated codes lengths].freeze
  LIMIT = 200
  # A translation this many times as long as its source, or the other way round, is unlikely; short texts vary
  # more.
  RATIO = 3.0
  SHORT = 20

  def initialize(memory)
    @units = memory.units
  end

  # {kind => how many units}.
  def counts = KINDS.to_h { |kind| [kind, public_send(kind).count] }

  # Units that say the same as another, but for the first of each.
  def duplicates =
    @units.where(
      "id NOT IN (SELECT MIN(id) FROM translation_units WHERE memory_id = :memory " \
        "GROUP BY source_hash, target)",
      memory: memory_id
    )

  # One source, several targets.
  def contradictions =
    @units.where(
      "source_hash IN (SELECT source_hash FROM translation_units WHERE memory_id = :memory " \
        "GROUP BY source_hash " \
        "HAVING COUNT(DISTINCT target) > 1)",
      memory: memory_id
    )

  def empty = @units.where("TRIM(source) = '' OR TRIM(target) = ''")

  # The translation is the source, in words.
  def untranslated = @units.where("source = target AND source GLOB '*[A-Za-z]* *[A-Za-z]*'")

  # Not the same codes on both sides.
  def codes
    rows = @units.where("source LIKE '%{%' OR target LIKE '%{%'").pluck(:id, :source, :target)
    uneven = rows.reject { |_, source, target| Glossema::Content::Balance.new(source, target).even? }
    @units.where(id: uneven.map(&:first))
  end

  def lengths
    @units.where(
      "MAX(LENGTH(source), LENGTH(target)) > #{SHORT} AND (LENGTH(source) > LENGTH(target) * #{RATIO} OR " \
        "LENGTH(target) > LENGTH(source) * #{RATIO})"
    ).where("TRIM(target) <> ''")
  end

  private

  def memory_id = @units.proxy_association.owner.id
end

# Units on their way from one memory to another: merging and splitting.
module Memory::Moving
  extend ActiveSupport::Concern

  # Takes over all units of another memory, which is then deleted; undoing it restores the other one. Returns
  # the operation.
  def merge(other, by:)
    raise Glossema::Refused.new("merge-self") if other.id == id
    unless fits?(other.source_lang, other.target_lang)
      raise Glossema::Refused.new("pair-wrong.memory", **other.name_and_pair, other: name)
    end

    other.update!(deleted_at: Time.current)
    Operations::MemoryMerge.start(self, by: by, total: other.units.count, summary: other.name,
      input: { "from" => other.id })
  end

  # Makes a memory of its own for each client or subject field; units without one stay. Returns the last of
  # the operations, one for each memory made.
  def split(field, by:)
    unless %w[client subject].include?(field)
      raise Glossema::Refused.new("split-by")
    end

    values = units.where.not(field => [nil, ""]).distinct.pluck(field)
    if values.empty? || (values.size == 1 && units.where(field => [nil, ""]).none?)
      raise Glossema::Refused.new("split-one", field: field)
    end

    values.map { |value| split_off(field, value, by) }.last
  end

  private

  def split_off(field, value, by)
    made = user.memories.create!(name: free_name("#{name} · #{value}"), source_lang: source_lang,
      target_lang: target_lang, description: description)
    Operations::MemorySplit.start(made, by: by, total: units.where(field => value).count, summary: name,
      input: { "from" => id, "field" => field, "value" => value })
  end

  def free_name(base) =
    (0..)
      .lazy
      .map { |n| n.zero? ? base : "#{base} (#{n + 1})" }
      .find { |name| !user.memories.present.exists?(name: name) }
end

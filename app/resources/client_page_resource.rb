# All that is set up for a client.
class ClientPageResource < ApplicationResource
  typelize_from Client

  typelize on_open: "OnOpen | null", language: "LetterLanguage | null",
    people: "Person[]", subjects: "string[]",
    never_used: "string[]", never_translated: "string[]"
  typelize memories: "StandingMemory[]", termbases: "AttachedTermbase[]"
  typelize machine_order: "Record<string, number[]>", machine_services: "ClientService[]",
    machine_pairs: "[string, string][]"
  typelize work: "ClientWork", has_logo: "boolean", has_rules: "boolean",
    has_checks: "boolean"

  attributes :id,
    :name,
    :code,
    :people,
    :address,
    :own_address,
    :subjects,
    :never_used,
    :never_translated,
    :file_pattern,
    :reference_pattern,
    :machine,
    :machine_order,
    :machine_shown,
    :notes,
    :conditions,
    :valid_days,
    :on_open,
    :language
  attribute(:has_logo) { |client| client.logo.attached? }
  attribute(:has_rules) { |client| client.rules.present? }
  attribute(:has_checks) { |client| client.check_profile.present? }
  attribute(:memories) do |client|
    there = client.user.access.readable(Memory).present
    known = there.where(id: client.memories.pluck("memory_id")).index_by(&:id)
    client.memories.filter_map do |row|
      memory = known[row["memory_id"]] or next
      row.merge(memory.slice(:name, :source_lang, :target_lang)).merge("units" => memory.size)
    end
  end
  attribute(:termbases) do |client|
    there = client.user.access.readable(Termbase).present
    known = there.where(id: client.termbases.pluck("termbase_id")).index_by(&:id)
    client.termbases_there.map do |row|
      termbase = known.fetch(row["termbase_id"])
      row.merge("name" => termbase.name, "entries" => termbase.size)
    end
  end
  attribute(:machine_services) do |client|
    client.user.machine_services.active.order(:id).map { |service| service.slice(:id, :name, :languages) }
  end
  attribute(:machine_pairs) do |client|
    client.projects.merge(client.user.projects).distinct.pluck(:source_lang, :target_lang)
      .map { |pair| pair.map { |tag| Glossema::Languages.primary(tag) } }.uniq.sort
  end
  attribute(:work) do |client|
    projects = client.projects.merge(client.user.projects).work.where.not(begun_at: nil)
    { projects: projects.count, quotes: client.quotes.count, reports: client.reports.kept.count }
  end
end

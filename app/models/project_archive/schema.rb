# What the records of an archive must look like: every column as the database declares it and as the model
# allows it, and inside of each that holds JSON the shapes below. All of it is looked at before anything is
# written.
class ProjectArchive::Schema
  include Glossema::DataShape

  T, I, N, F, ANY = :text, :integer, :number, :flag, :any

  AMOUNT = Whole.new({ "segments" => I, "words" => I, "characters" => N })
  BANDS = Each.new(AMOUNT)
  ORIGIN = { "kind" => T, "score" => Maybe.new(N), "match" => Maybe.new(T), "memory" => Maybe.new(T),
             "unit" => Maybe.new(I), "from" => Maybe.new(I), "act" => Maybe.new(T), "touched" => Maybe.new(F),
             "author" => Maybe.new(T) }.freeze
  COUNTS = { "segments" => I, "words" => I, "characters" => I, "codes" => I, "bands" => BANDS }.freeze
  MORE = { "format" => Maybe.new(T), "document_id" => Maybe.new(I), "characters_without_spaces" => I,
           "by_character" => F, "inside" => Maybe.new(BANDS), "bare" => Maybe.new(BANDS) }.freeze
  CODE = { "id" => I, "kind" => Among.new(%w[open close alone]), "key" => ANY, "type" => Maybe.new(T),
           "display" => Maybe.new(T), "equiv" => Maybe.new(T) }.freeze
  CODES = [CODE].freeze
  PLACES = Each.new({ "count" => I, "places" => :list })
  CHECKS = Maybe.new({ "checks" => Each.new({ "level" => T }), "own" => [{ "name" => T }] })
  STOCK = { "penalty" => Maybe.new(N), "read_only" => Maybe.new(F) }.freeze
  UNIT = Maybe.new({ "memory_id" => Maybe.new(I), "segment_id" => Maybe.new(I), "import_id" => Maybe.new(I),
                     "source" => T, "target" => T, "author" => Maybe.new(T), "changed_by" => Maybe.new(T) })
  RATES = { "weights" => Each.new(ANY) }.freeze

  JSON_COLUMNS = {
    "clients.people" => [Each.new(Maybe.new(T))], "clients.subjects" => [T],
    "clients.never_used" => [T], "clients.never_translated" => [T],
    "clients.memories" => [{ "memory_id" => I, "learns" => Maybe.new(T), **STOCK }],
    "clients.termbases" => [{ "termbase_id" => I, "adds" => Maybe.new(F), "checks" => Maybe.new(F),
                              **STOCK }],
    "clients.check_profile" => CHECKS, "clients.machine_order" => Each.new([I]),
    "termbases.head" => :object,
    "projects.proposed" => Each.new(ANY), "projects.never_used" => [T], "projects.never_translated" => [T],
    "projects.check_profile" => CHECKS,
    "projects.hand_over" => Maybe.new({ "token" => Maybe.new(T), "from" => Maybe.new(T), "to" => Maybe.new(T),
                                        "task" => Maybe.new(T), "instructions" => Maybe.new(T),
                                        "ids" => Each.new(Each.new(ANY)) }),
    "operations.input" => :object, "operations.result" => :object, "operations.before" => :object,
    "operations.cursor" => :object,
    "translation_units.codes" => Maybe.new(CODES), "translation_units.extra" => Maybe.new(:object),
    "term_candidates.examples" => [T],
    "documents.options" => :object, "documents.breaks" => Each.new([I]),
    "documents.facts" => { "words" => I, "characters" => I, "segments" => I, "codes" => I,
                           "by_character" => F, "bilingual" => F, "looks" => Maybe.new(T) },
    "documents.bands" => Maybe.new(BANDS),
    "documents.hand" => Each.new({ "text" => T, "add" => [I], "remove" => [I] }),
    "documents.comparison" => Maybe.new(Each.new(ANY)),
    "segments.codes" => CODES, "segments.location" => Glossema::Location, "segments.origin" => ORIGIN,
    "segments.alternatives" => [{ "source" => Maybe.new(T), "target" => T, "score" => Maybe.new(N) }],
    "versions.origin" => ORIGIN,
    "detached_translations.fields" => { "target" => T, "state" => T, "origin" => ORIGIN },
    "detached_translations.versions" => [{ "target" => T, "state" => T, "origin" => ORIGIN }],
    "translation_unit_versions.before" => UNIT,
    "reports.memories" => [{ "id" => I, "name" => T, "penalty" => Maybe.new(N) }],
    "reports.figures" => Maybe.new({ **COUNTS, **MORE, "files" => [{ **COUNTS, **MORE, "name" => T }] }),
    "quotes.rates" => RATES,
    "quotes.figures" => { "currency" => T, "lines" => [{ "band" => T, "words" => N }], "total" => ANY },
    "quotes.letter" => Each.new(Maybe.new(T)),
    "deliveries.unfinished" => Each.new({ "count" => I, "words" => I }),
    "deliveries.checks" => Maybe.new({ "must-fix" => I, "look" => I, "stands" => I, "left" => I }),
    "deliveries.receipt" => Maybe.new(:object),
    "delivered_files.proof" => { "segments" => I, "words" => I, "codes" => I, "identical" => Maybe.new(F),
                                 "differences" => [Glossema::Proof::Difference],
                                 "source_text" => Maybe.new(Each.new(ANY)) },
    "review_rounds.options" => :object, "review_rounds.base" => Each.new(T),
    "review_rounds.numbers" => Each.new(ANY),
    "notes.spot" => Maybe.new({ "side" => T, "from" => I, "to" => I, "text" => T })
  }.freeze
  ENTRIES = %w[term_entries.data term_entry_versions.data].freeze
  # Numbers of records may be told as text, as those of earlier versions are.
  ABOUT = { "kind" => T, "from" => Maybe.new(T), "people" => Each.new(T), "words" => Maybe.new(I),
            "segments" => Maybe.new(I), "project" => Each.new(Maybe.new(T)),
            "blobs" => [{ "type" => T, "record" => ANY, "name" => T, "filename" => T, "path" => T,
                          "content_type" => Maybe.new(T) }] }.freeze
  TIME = /\A\d{4}-\d\d-\d\d([ T]\d\d:\d\d(:\d\d(\.\d+)?)?( ?UTC|Z)?)?\z/
  STRUCTURED = /\A[\[{n]/

  OPERATIONS = { "subject_type" => -> { %w[Memory Termbase Project] },
                 "kind" => -> { Operations.listed_kinds + %w[unit_learning] } }.freeze

  # What is wrong with a package.
  Damaged = Class.new(StandardError)

  def initialize(model)
    @model, @table = model, model.table_name
    @allowed = model.validators.grep(ActiveModel::Validations::InclusionValidator)
      .reject { |one| one.options[:if] || one.options[:in].respond_to?(:call) }
      .flat_map { |one| one.attributes.map { |name| [name.to_s, one.options[:in]] } }.to_h
    @allowed.merge!(OPERATIONS.transform_values(&:call)) if model == Operation
  end

  # Raises Damaged, which names the place.
  def check(row)
    raise Damaged, @table unless row.is_a?(Hash) && [Integer, String].include?(row["id"].class)

    @model.columns.each do |column|
      name = column.name
      next if name == "id" || !row.key?(name)

      raise Damaged, "#{@table}.#{name}" unless fits?(column, row[name])
    end
    check_text(row) if @table == "segments"
  end

  private

  def fits?(column, value)
    return column.null if value.nil?
    return numbered?(value) if reference?(column.name)
    return false if @allowed.key?(column.name) && @allowed[column.name].exclude?(value)

    of_type?(column, value)
  end

  def reference?(name) = name.end_with?("_id")

  def numbered?(value)
    FITS.call(I, value) || (value.is_a?(String) && value.match?(/\A[a-z_]{1,40} \d{1,18}\z/))
  end

  FITS = Glossema::DataShape.method(:fits?)
  TYPES = {
    integer: ->(value) { FITS.call(I, value) },
    boolean: ->(value) { [0, 1, true, false].include?(value) },
    float: ->(value) { FITS.call(N, value) },
    decimal: ->(value) { FITS.call(N, value) || (value.is_a?(String) && Float(value, exception: false)) },
    datetime: ->(value) { value.is_a?(String) && value.match?(TIME) && !Time.zone.parse(value).nil? },
    date: ->(value) { value.is_a?(String) && value.match?(TIME) && !Time.zone.parse(value).nil? },
    binary: ->(value) { FITS.call(value.is_a?(Hash) ? { "base64" => T } : T, value) }
  }.freeze

  def of_type?(column, value)
    return structured?(column.name, value) if column.type == :json

    TYPES.fetch(column.type) { ->(text) { FITS.call(T, text) } }.call(value)
  rescue ArgumentError, JSON::ParserError, EncodingError
    false
  end

  # JSON within JSON, as the database keeps it.
  def structured?(name, value)
    return false unless value.is_a?(String) && value.match?(STRUCTURED)

    data = JSON.parse(value)
    place = "#{@table}.#{name}"
    return data.nil? || !Glossema::Remote.entry(data).nil? if ENTRIES.include?(place)

    FITS.call(JSON_COLUMNS.fetch(place), data)
  end

  # A segment whose codes do not fit its text cannot be opened.
  def check_text(row)
    codes = Glossema::Content.codes_from(JSON.parse(row["codes"] || "[]"))
    source = Glossema::Content.parse(row.fetch("source"), codes)
    Glossema::Content.parse(row["target"].to_s, source)
  rescue Glossema::Refused, ArgumentError, KeyError
    raise Damaged, "segments.source"
  end
end

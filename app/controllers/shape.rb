# What a parameter may be: one of TYPES, an object ({name: shape}), or a list ([shape]). What was sent is
# turned into it, or said to be of the wrong kind. nil is left nil; so is an empty text where no text is
# asked for.
class Shape
  # A parameter that is not what it should be; name: where, such as "rates.weights.95-99".
  class Wrong < StandardError
    attr_reader :name

    def initialize(name)
      @name = name
      super("#{name} is of the wrong kind")
    end
  end

  LONGEST = 4 << 20
  # Lists and objects in each other, and entries of a list.
  DEEPEST, MOST = 20, 200_000
  INTEGER, DECIMAL = /\A[+-]?\d{1,18}\z/, /\A[+-]?\d{1,18}(?:\.\d{1,18})?\z/
  DAY = /\A\d{4}-\d\d-\d\d\z/
  MOMENT = /\A\d{4}-\d\d-\d\d(?:[T ]\d\d:\d\d(?::\d\d(?:\.\d{1,9})?)?(?:Z| UTC|[+-]\d\d:?\d\d)?)?\z/
  # SQLite’s.
  LARGEST = (2**63) - 1
  YEARS = (1900..2999)
  FLAGS = { "true" => true, "1" => true, "on" => true, "false" => false, "0" => false, "" => false }.freeze
  TYPES = %i[text number decimal flag date time id file any].freeze

  # fields: {name: shape} → the same with what was sent; within: the name of the object they are of. Raises
  # Wrong.
  def self.read(fields, given, within = nil)
    fields.each_with_object({}) do |(name, shape), read|
      key = name.to_s
      read[key] = new([within, key].compact.join(".")).read(shape, given[key]) if given.key?(key)
    end
  end

  def initialize(name)
    @name = name
  end

  def read(shape, value)
    case shape
    when Symbol then value.nil? ? nil : send(shape, value)
    when Array then list(shape.first, value)
    when Hash then object(shape, value)
    else raise ArgumentError, "no shape: #{shape.inspect}"
    end
  end

  private

  def wrong = raise(Wrong, @name)

  def list(shape, value)
    return if value.nil? || value == ""

    one = value.is_a?(Array) ? value : [value]
    wrong if one.size > MOST || (value != one && !%i[id file text].include?(shape))
    one.map do |entry|
      wrong if entry.nil?
      read(shape, entry)
    end
  end

  def object(fields, value)
    return if value.nil? || value == ""

    wrong unless value.is_a?(Hash)
    self.class.read(fields, value, @name)
  end

  def text(value)
    value = value.to_s if value.is_a?(Integer) || (value.is_a?(Float) && value.finite?)
    wrong unless value.is_a?(String) && value.bytesize <= LONGEST && sound?(value)
    value
  end

  def number(value)
    return if value == ""

    whole = value.is_a?(Float) && value.finite? && value.to_i == value ? value.to_i : value
    whole = whole.to_i if whole.is_a?(String) && sound?(whole) && whole.match?(INTEGER)
    wrong unless whole.is_a?(Integer) && whole.abs <= LARGEST
    whole
  end

  # A number with or without decimals, as it was sent.
  def decimal(value)
    return if value == ""
    return value if value.is_a?(Numeric) && value.to_f.finite? && value.abs <= LARGEST

    wrong unless value.is_a?(String) && sound?(value) && value.match?(DECIMAL)
    value
  end

  def flag(value)
    value = value.to_s if value.is_a?(Integer)
    return value if [true, false].include?(value)

    FLAGS.fetch(value) { wrong }
  end

  def id(value)
    found = number(value)
    wrong if found&.negative?
    found
  end

  # A day, as it was sent: yyyy-mm-dd.
  def date(value)
    return if value == ""

    wrong unless value.is_a?(String) && sound?(value) && value.match?(DAY) && YEARS.cover?(value.to_i)
    Date.iso8601(value)
    value
  rescue Date::Error
    wrong
  end

  # A moment, as it was sent: a day alone, or with a time.
  def time(value)
    return if value == ""

    wrong unless value.is_a?(String) && sound?(value) && value.match?(MOMENT)
    wrong unless YEARS.cover?(value.to_i)
    Date.iso8601(value[0, 10])
    Time.zone.parse(value)
    value
  rescue ArgumentError
    wrong
  end

  def file(value)
    wrong unless value.is_a?(ActionDispatch::Http::UploadedFile) && sound?(value.original_filename.to_s)
    value
  end

  # What the core looks through by itself: JSON of any shape whose texts and numbers are sound.
  def any(value, depth = 0)
    wrong if depth > DEEPEST
    case value
    when Hash then value.to_h { |key, one| [text(key), any(one, depth + 1)] }
    when Array then value.map { |one| any(one, depth + 1) }
    when String then text(value)
    when Numeric then decimal(value)
    when true, false, nil then value
    else wrong
    end
  end

  def sound?(text) = text.valid_encoding? && text.encoding != Encoding::BINARY && !text.include?("\0")
end

# What parsed JSON must look like, looked at before anything is made of it. A shape is one of KINDS, [a shape]
# for a list, {"name" => shape} for an object of which some names are known, Whole for one that has all of
# them, Each for one with any names, Maybe for what may be null, or Among for one of some values.
module Glossema
  module DataShape
    Whole = Struct.new(:fields) do
      def fits?(value) = DataShape.fits?(fields, value) && fields.keys.all? { |name| value.key?(name) }
    end
    Each = Struct.new(:shape) do
      def fits?(value)
        value.is_a?(Hash) && value.all? { |name, one| DataShape.sound?(name) && DataShape.fits?(shape, one) }
      end
    end
    Maybe = Struct.new(:shape) do
      def fits?(value) = value.nil? || DataShape.fits?(shape, value)
    end
    Among = Struct.new(:values) do
      def fits?(value) = values.include?(value)
    end
    # As SQLite keeps them; and so deep are lists and objects in each other.
    LARGEST, DEEPEST, LONGEST = (2**63) - 1, 40, 16 << 20
    KINDS = {
      text: ->(value) { value.is_a?(String) && sound?(value) },
      integer: ->(value) { value.is_a?(Integer) && value.abs <= LARGEST },
      number: ->(value) { value.is_a?(Numeric) && value.to_f.finite? && value.abs <= LARGEST },
      flag: ->(value) { [true, false].include?(value) },
      any: ->(value) { bounded?(value) },
      object: ->(value) { value.is_a?(Hash) && bounded?(value) },
      list: ->(value) { value.is_a?(Array) && bounded?(value) }
    }.freeze

    class << self
      def fits?(shape, value)
        case shape
        when Symbol then KINDS.fetch(shape).call(value)
        when Array then value.is_a?(Array) && value.all? { |one| fits?(shape.first, one) }
        when Hash then value.is_a?(Hash) && value.all? { |name, one| fits?(shape.fetch(name, :any), one) }
        else shape.fits?(value)
        end
      end

      def sound?(text) = text.valid_encoding? && !text.include?("\0") && text.bytesize <= LONGEST

      def bounded?(value, depth = 0)
        return false if depth > DEEPEST

        case value
        when Hash then value.all? { |name, one| sound?(name) && bounded?(one, depth + 1) }
        when Array then value.all? { |one| bounded?(one, depth + 1) }
        when String then sound?(value)
        when Numeric then KINDS[:number].call(value)
        else true
        end
      end
    end
  end
end

# A translation unit as it goes over the wire. Source and target are in the written form; what its codes stand
# for stays at home.
module Glossema
  module Remote
    # id: of the unit where it is kept, or of the segment it was written in; previous, next: marks of the
    # sources beside it (see mark); times: ISO 8601.
    Unit =
      Struct.new(
        :id, :source, :target, :author, :created_at, :changed_at, :client, :subject, :project, :file, :origin,
        :key, :previous, :next, :used, keyword_init: true
      ) do
        # value: a Hash as JSON gives it. nil for what is no unit.
        def self.from_h(value)
          return unless value.is_a?(Hash) && value.values_at("source", "target").all?(String)

          texts = value.values_at("source", "target")
          return if texts.any? { |text| text.length > CHARACTERS || Content.plain(text).strip.empty? }

          new(**members.to_h { |name| [name, plain(value[name.to_s])] })
        rescue Refused
          nil
        end

        # Only text and numbers are taken; a text has nothing that cannot be held.
        def self.plain(value)
          return Content.holdable(value[0, CHARACTERS]) if value.is_a?(String)

          value.to_s if value.is_a?(Integer)
        end

        # Without what is not said.
        def to_h = super.compact.reject { |_, value| value == "" }.transform_keys(&:to_s)

        # What a memory keeps of it, as Matching and TMX name it.
        def attributes
          {
            "author" => author, "changed_by" => author, "created_at" => created_at || changed_at,
            "updated_at" => changed_at || created_at, "client" => client, "subject" => subject,
            "project" => project, "file" => file, "origin" => origin, "key" => key, "used" => used
          }.compact
        end
      end

    # The mark of what stands beside a unit: the number that 15 hexadecimal digits of the identity of a
    # source make (Matching::Score.identity), in base 36; nil where nothing stands there. number: that
    # number, or nil.
    def self.mark(number) = number&.to_s(36)

    # The number of a mark, or nil.
    def self.number(mark) = mark.to_s.match?(/\A[0-9a-z]{1,13}\z/) ? mark.to_i(36) : nil
  end
end

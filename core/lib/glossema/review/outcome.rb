# What became of a row of a review sheet: the wording it has now, or why that cannot be taken.
module Glossema
  module Review
    # written: as it came back; target: Content to be taken, nil where it is refused; refused: Refused, or
    # nil; before: Content.
    Outcome = Struct.new(:written, :target, :refused, :before, keyword_init: true) do
      # row: Returned::Back; source: Content whose codes may be used; before: Content that went out.
      def self.from_row(row, source:, before:)
        return unread(Refused.new("sheet-cells"), before) if row.trouble
        if row.source && fold(row.source) != fold(source.text)
          return unread(Refused.new("sheet-source"), before)
        end

        written = Settled.settle(before.written, CodeMarks.written(row.raw, source))
        target = Content.parse(written, source)
        return emptied(written, before) if target.blank? && !before.blank?

        lost = target.written == before.written ? nil : damage(source, before, target)
        new(written: written, target: lost ? nil : target, refused: lost, before: before)
      rescue Refused => e
        new(written: written, target: nil, refused: e, before: before)
      end

      # A translation that was deleted is no other wording.
      def self.emptied(written, before) =
        new(written: written, target: nil, refused: Refused.new("sheet-emptied"), before: before)

      def self.unread(refused, before) =
        new(written: before.written, target: nil, refused: refused, before: before)

      def self.fold(text) = text.gsub(/[[:space:]]+/, " ").strip

      # Codes must be those of the source or of what went out, and close in order.
      def self.damage(source, before, target)
        codes = ->(content) { content.codes.map(&:written).sort }
        return if [source, before].any? { |one| codes[one] == codes[target] } && nested?(target)

        balance = Content::Balance.new(source.written, target.written)
        if balance.missing.any? then Refused.new("sheet-codes.missing", codes: balance.missing.join(" "))
        elsif balance.added.any? then Refused.new("sheet-codes.added", codes: balance.added.join(" "))
        else Refused.new("sheet-codes.order")
        end
      end

      def self.nested?(target)
        open = []
        target.codes.all? do |code|
          next true if code.alone?
          next open.push(code.id) if code.open?

          open.pop == code.id
        end && open.empty?
      end
      private_class_method :emptied, :unread, :fold, :damage, :nested?

      def changed? = !refused.nil? || target.written != before.written
    end
  end
end

# A pattern for numbers that follow one another: {client} {yyyy} {yy} {mm} and {nn} or {nnn}, the running
# number with so many digits.
class Pattern
  NUMBER = /\{(n{1,6})\}/
  PARTS = /\{(?:client|yyyy|yy|mm|n{1,6})\}/

  # Raises Refused "pattern-wrong" when it has no running number, or a part that is none.
  def self.check(text)
    raise Glossema::Refused.new("pattern-wrong.number", pattern: text) unless text.to_s.match?(NUMBER)

    unknown = text.gsub(PARTS, "")[/\{[^}]*\}?/]
    raise Glossema::Refused.new("pattern-wrong.part", part: unknown) if unknown
  end

  def initialize(text, client: nil)
    @text, @client = text, client
  end

  # One more than the highest of those there are that look so.
  def next(existing)
    shape = /\A#{Regexp.escape(filled).sub(Regexp.escape(number), '(\d+)')}\z/
    last = existing.filter_map { |text| text.to_s[shape, 1]&.to_i }.max.to_i
    filled.sub(number, format("%0#{number.count("n")}d", last + 1))
  end

  private

  def number = filled[NUMBER]

  def filled
    @filled ||=
      begin
        now = Time.current
        parts = {
          "{client}" => @client&.code || "PRJ",
          "{yyyy}" => now.strftime("%Y"),
          "{yy}" => now.strftime("%y"),
          "{mm}" => now.strftime("%m")
        }
        text = @text.gsub(/\{(?:client|yyyy|yy|mm)\}/, parts)
        text.match?(NUMBER) ? text : "#{text}-{nn}"
      end
  end
end

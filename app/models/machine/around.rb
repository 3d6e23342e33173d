# What stands around a segment, as far as the template of a service asks for it: the terms found, the best
# matches, the sentences before and after, each on lines of its own.
class Machine::Around
  PLACES = %w[terms matches before after].freeze
  # So many matches and sentences, from this score on.
  MATCHES, BEFORE, AFTER, FROM = 3, 3, 1, 60

  def initialize(segment, template)
    @segment, @project, @template = segment, segment.project, template
  end

  # {"terms" => text, "matches" => text, "before" => text, "after" => text}, only what is asked for.
  def to_h = PLACES.select { |place| @template.wants?(place) }.to_h { |place| [place, said(place)] }

  private

  def said(place)
    case place
    when "terms" then terms
    when "matches" then matches
    when "before" then beside(-BEFORE..-1)
    when "after" then beside(1..AFTER)
    end
  end

  def terms
    Segment::Terms.new(@segment).to_h[:terms].filter_map do |term|
      usable = term[:targets].select { |target| target[:usable] }.pluck(:text)
      "#{term[:term]} = #{usable.join(" / ")}" if usable.any?
    end.uniq.join("\n")
  end

  def matches
    query = @segment.query(*[-1, 1].map { |step| @segment.neighbour(step) })
    @project.lookup.matches(query, threshold: FROM, limit: MATCHES).map { |match|
      "#{match.candidate.source.text} = #{match.target.text}"
    }.join("\n")
  end

  # With their translations, where there are any.
  def beside(steps)
    position = @segment.position
    found = @segment.document.segments.where(position: (position + steps.min)..(position + steps.max))
    found.order(:position).map { |one|
      [one.source_content.text, one.target_content.text.presence].compact.join(" = ")
    }.join("\n")
  end
end

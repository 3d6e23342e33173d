# The checks of a project: those of its profile, with its lists, termbases and words.
module Project::Checks
  extend ActiveSupport::Concern
  # Raised when checks find other things than before.
  VERSION = 6

  included do
    has_many :ignored_findings, dependent: :delete_all
  end

  def checker
    @checker ||= Glossema::Checks::Checker.new(check_profile_in_force, terms: vocabulary,
      speller: (spelling if spelling_checked?))
  end

  def check_profile_in_force
    @check_profile_in_force ||= Glossema::Checks::Profile.new(
      { **CheckProfile.new(self).given, "never_used" => never_used, "never_translated" => never_translated }
    )
  end

  # What the client allows of subtitles: the profile says it for the checks too.
  def cue_limits = Glossema::Timing::Limits.new(check_profile_in_force.parameters_of("cue-limits"))

  # What its segments are checked against, in a few letters: another one means that all are looked at again.
  def check_stamp
    @check_stamp ||= begin
      words = spelling_checked? ? UserWord.in_project(self).pluck(:word) : []
      against = [VERSION, CheckProfile.new(self).given, never_used, never_translated, target_lang,
                 checking_termbases.map { |one| [one.id, one.revision] }, words]
      Digest::SHA256.hexdigest(against.inspect)
    end
  end

  def vocabulary
    return @vocabulary if defined?(@vocabulary)

    own = [source_lang, target_lang].map { |lang| term_finders(lang, checking: true) }
    finders = own.zip(Project::RemoteTerms.new(self).finders).map { |near, far| near + far }
    @vocabulary = (Glossema::Checks::Vocabulary.new(*finders, target_lang) if checking_termbases.any?)
  end

  def checking_termbases
    attached_termbases.usable.where(checks: true).includes(termbase: :remote).map(&:termbase)
  end

  # A segment as checks see it; target: another text than it has now.
  def pair_of(segment, target: segment.target_content)
    Glossema::Checks::Pair.new(source: segment.source_content, target: target, source_lang: source_lang,
      target_lang: target_lang, state: segment.state, origin: segment.origin, limit: segment.limit,
      **cues_of(segment))
  end

  private

  # When it is shown, and the one after it, where the segment is a cue.
  def cues_of(segment)
    cue = segment.cue or return {}
    { cue: cue, next_cue: segment.neighbour(1)&.cue }
  end

  def spelling_checked?
    ![nil, Glossema::Checks::Profile::OFF].include?(check_profile_in_force.level_of("misspelt"))
  end
end

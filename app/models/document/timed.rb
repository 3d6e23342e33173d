# Subtitles: the film beside them, the cues with their times, and the sentences that run over several.
module Document::Timed
  extend ActiveSupport::Concern
  FORMATS = %w[SubRip WebVTT TTML].freeze
  MOST_BYTES = 4.gigabytes

  included do
    # Outside the database, never translated, never delivered.
    has_one_attached :film
  end

  def timed? = FORMATS.include?(format)

  # upload: an uploaded file. Raises Refused "film-kind", "film-large", "film-text", where nothing is changed.
  def take_film(upload)
    raise Glossema::Refused.new("film-text", name: name) unless timed?

    self.class.check_film(upload)
    keep_film(upload)
  end

  # Of one that was checked.
  def keep_film(upload)
    name, kind = self.class.film_name(upload), self.class.film_kind(upload)
    film.attach(io: upload, filename: name, content_type: kind, identify: false)
  end

  # [[Timing::Cue, Segment], …] of segments that are shown at a time, in order.
  def cues(among = segments)
    among.filter_map { |segment| (cue = segment.cue) && [cue, segment] }
  end

  # [[Segment, …], …] of cues that say one sentence together. shown: as cues answers them.
  def sentences(shown = cues)
    groups = Glossema::Timing::Sentences.new(source_lang || project.source_lang)
      .groups(shown.map { |cue, segment| [cue, segment.source_content.text] })
    groups.map { |group| group.map { |index| shown[index].last } }
  end

  class_methods do
    # Raises Refused "film-kind", "film-large".
    def check_film(upload)
      name = film_name(upload)
      raise Glossema::Refused.new("film-large", name: name, gigabytes: 4) if upload.size > MOST_BYTES
      raise Glossema::Refused.new("film-kind", name: name) unless film_kind(upload)
    end

    def film_name(upload) = upload.original_filename

    # "video/mp4", "video/webm", or nil for what is no film.
    def film_kind(upload)
      upload.rewind
      Glossema::Timing::Film.kind(upload.read(Glossema::Timing::Film::HEAD)).tap { upload.rewind }
    end
  end
end

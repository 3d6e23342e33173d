# Films among dropped files: each goes to the subtitles of its name, or to the only ones there are.
class DroppedFilms
  ENDINGS = %w[.mp4 .m4v .webm].freeze

  attr_reader :films, :texts

  # uploads: of one drop.
  def initialize(uploads)
    @films, @texts = uploads.partition do |file|
      ENDINGS.include?(File.extname(file.original_filename.to_s).downcase) || Document.film_kind(file)
    end
  end

  # Refuses before anything is kept: a film without subtitles of its name beside it or in the project, when
  # there are several; one that cannot be shown. names: of subtitles that come along or are there.
  def check(names)
    films.each do |film|
      Document.check_film(film)
      name = Document.film_name(film)
      raise Glossema::Refused.new("film-alone", name: name) unless self.class.beside(name, names)
    end
  end

  # documents: of the project, with those of the drop.
  def put(documents)
    films.each do |film|
      name = self.class.beside(Document.film_name(film), documents.map(&:name))
      documents.find { |one| one.name == name }.keep_film(film)
    end
  end

  SUBTITLES = /\.(?:srt|vtt|ttml|dfxp)\z/i

  # The name of the subtitles that a film belongs to: those that begin as it does ("film.en.srt" beside
  # "film.mp4"), the shortest; or the only ones; nil where neither is so.
  def self.beside(film, names)
    subtitles = names.grep(SUBTITLES)
    stem = stem_of(film)
    subtitles.select { |name| stem_of(name).start_with?(stem) || stem.start_with?(stem_of(name)) }
      .min_by(&:length) || (subtitles.first if subtitles.size == 1)
  end

  def self.stem_of(name) = File.basename(name.tr("\\", "/"), ".*").downcase.gsub(/[\s_.-]+/, " ").strip
end

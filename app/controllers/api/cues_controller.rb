# What Translate needs of subtitles besides their text: times, limits, sentences over several cues.
module Api
  class CuesController < BaseController
    def show
      document = Document.where(project: current_user.projects).find(params[:document_id])
      limits = document.project.cue_limits
      render json: { limits: limits.to_h, fixed: document.times_fixed?,
                     film: document.film.attached? ? film_of(document) : nil,
                     cues: document.cues.map { |cue, segment| cue_of(cue, segment) },
                     sentences: document.sentences.map { |group| group.map(&:id) } }
    end

    private

    def cue_of(cue, segment)
      { segment_id: segment.id, number: cue.number, start: cue.start.to_f, finish: cue.finish&.to_f,
        place: cue.place }
    end

    # version: another one where another film was given.
    def film_of(document)
      { name: document.film.filename.to_s, byte_size: document.film.byte_size, version: document.film.id }
    end
  end
end

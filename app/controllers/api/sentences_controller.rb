# The sentence that a cue is part of, as one: what the memories hold of it, and its translation divided
# over its cues.
module Api
  class SentencesController < BaseController
    takes text: :text

    def show
      floor = current_user.preferences.fetch("floor", 50)
      render json: { proposals: sentence ? sentence.proposals(floor) : [] }
    end

    # params: text, the whole translation. Writes nothing: what is to be written is answered.
    def create
      raise Glossema::Refused.new("no-sentence") unless sentence

      parts = sentence.divided(params.require(:text))
      render json: {
        parts: parts.map { |one, text| { segment_id: one.id, target: Glossema::Content.escape(text) } }
      }
    end

    private

    def sentence
      return @sentence if defined?(@sentence)

      segment = Segment.where(project: current_user.projects).find(params[:segment_id])
      @sentence = Segment::Sentence.around(segment)
    end
  end
end

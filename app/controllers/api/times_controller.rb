# When a cue is shown, changed; a cue, or it and all after it, moved.
module Api
  class TimesController < BaseController
    takes start: :text, finish: :text, shift: :text, rest: :flag

    # params: start, finish, in seconds; or shift, in seconds, with rest for all cues after it too.
    def update
      if params[:shift]
        document.shift_cues(segment, seconds(:shift), rest: params[:rest], by: current_user)
      else
        document.retime(segment, start: seconds(:start), finish: seconds(:finish), by: current_user)
      end
      render json: { open: document.segments.reload.find_by(position: segment.position)&.id,
                     operation: document.changed.id }
    end

    private

    def segment = @segment ||= Segment.where(project: current_user.projects).find(params[:segment_id])
    def document = @document ||= segment.document

    # Also as it is shown: "00:00:41.200".
    def seconds(name)
      given = params[name].presence or return
      text = given.to_s
      time = text.include?(":") ? Glossema::Timing::Cue.seconds(text) : Rational(text, exception: false)
      time || raise(Glossema::Refused.new("time-broken", text: text))
    end
  end
end

# Where an entry stands in a project, and how it was translated there.
module Api
  class TermPlacesController < BaseController
    takes entry_id: :id

    # params: entry_id
    def show
      entry = reached_in(TermEntry.there, :termbase, Termbase, params[:entry_id])
      answer = Glossema::Terms::Places.new(entry.entry, project.counted_languages).in(texts)
      render json: {
        segments: answer.keys,
        renderings: answer.renderings.map { |term, keys| { term: term, segments: keys } }
      }
    end

    private

    def texts
      rows = project.segments.order(:position).pluck(:id, :source, :target, :state)
      rows.map do |id, source, target, state|
        done = Segment::UNFINISHED.exclude?(state)
        [id, Glossema::Content.plain(source), done ? Glossema::Content.plain(target) : nil]
      end
    end
  end
end

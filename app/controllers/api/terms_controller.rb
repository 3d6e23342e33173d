# A pair of terms added on the way, from what is marked in a source and its translation.
module Api
  class TermsController < BaseController
    takes source: :text, target: :text, segment_id: :id, place: :number, anyway: :flag, around: :text

    # params: source, target: what is marked; segment_id: where; place: into the n-th termbase alone; anyway:
    # add it though something like it is there.
    def create
      termbases = into
      raise Glossema::Refused.new("no-termbase") if termbases.empty?

      added = termbases.map { |termbase|
        termbase.add_pair(pair, by: current_user, anyway: params[:anyway].present?)
      }
      render json: { added: termbases.zip(added).map { |termbase, one|
        row(termbase, one)
      } }, status: :created
    end

    private

    def into
      place = params[:place].to_i
      unless place.positive?
        return project.attached_termbases.adding.includes(termbase: :remote).map(&:termbase).reject(&:closed?)
      end

      row = project.attached_termbases.usable.includes(:termbase)[place - 1] or return []
      raise Glossema::Refused.new("termbase-read-only",
        name: row.termbase.name) if row.read_only || row.termbase.closed?

      [row.termbase]
    end

    def pair
      segment = params[:segment_id].presence && project.segments.find(params[:segment_id])
      {
        project.source_lang => picked(:source, project.source_lang, segment&.source_content&.text),
        project.target_lang => picked(:target, project.target_lang, params[:around])
      }
    end

    def picked(side, lang, around) =
      Glossema::Terms::Placed.picked(params[side].to_s, around.to_s, lang)

    def row(termbase, added)
      {
        termbase: termbase.name, made: added.made, operation: added.operation&.id,
        entry: added.entry && TermEntryResource.new(added.entry).to_h,
        likely: TermEntryResource.new(added.likely).to_h
      }
    end
  end
end

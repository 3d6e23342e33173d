# Candidates of a termbase: those there are, a look for more, and what is decided about each.
module Api
  class TermCandidatesController < BaseController
    takes state: :text, project_id: :id, memory_id: :id, file: [:file], source_lang: :text,
      target_lang: :text, accept: { source: :text, target: :text }

    SHOWN = 200

    # params: state: of TermCandidate::STATES.
    def index
      state = params[:state].presence || "waiting"
      found = termbase.candidates.where(state: state).best_first.limit(SHOWN)
      last = Operations::TermSearch.where(subject: termbase).last
      render json: {
        counts: termbase.candidates.group(:state).count,
        search: last && OperationResource.new(last).to_h,
        candidates: TermCandidateResource.new(found).to_h
      }
    end

    # params: project_id, memory_id, or file with source_lang and target_lang.
    def create
      started(Termbase::Look.begin(termbase, *place, by: current_user))
    end

    # params: state, or accept: {source:, target:}.
    def update
      accept = params[:accept]
      if accept
        candidate.accept(accept[:source].to_s, accept[:target].to_s, by: current_user)
      else
        candidate.decide(params[:state].to_s)
      end
      answer(TermCandidateResource.new(candidate))
    end

    private

    def candidate = @candidate ||= reached_in(TermCandidate, :termbase, Termbase, params[:id], right: "add")
    def termbase = @termbase ||= reached(Termbase, params[:termbase_id], right: looking? ? "view" : "add")

    # [where to look, [source tag, target tag], files]
    def place
      return of_memory if params[:memory_id].present?
      return of_project if params[:project_id].present?

      files = uploads(:file)
      languages = params.require(%i[source_lang target_lang])
      [{ "name" => files.map(&:original_filename).join(", ") }, languages, files]
    end

    def of_memory
      memory = reached(Memory, params[:memory_id], right: "view")
      [{ "memory_id" => memory.id, "name" => memory.name }, [memory.source_lang, memory.target_lang]]
    end

    def of_project
      project = current_user.projects.find(params[:project_id])
      [{ "project_id" => project.id, "name" => project.name }, project.counted_languages]
    end
  end
end

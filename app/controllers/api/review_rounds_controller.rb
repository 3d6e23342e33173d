# Rounds of review: sheets out, and what became of them.
module Api
  class ReviewRoundsController < BaseController
    takes document_ids: [:id], segment_ids: [:id], as: :text, reviser: :text, tracking: :flag,
      instructions: :flag, terms: :flag, notes: :flag, email: :text, may: :text, task: :text,
      message: :text, due_at: :time, memories: :flag, termbases: :flag, matching: :flag, close: :flag,
      resume: :flag, reopen: :flag

    SWITCHES = %w[tracking instructions terms notes].freeze

    def index = answer(ReviewRoundResource.new(project.review_rounds.reorder(number: :desc)))

    # params: document_ids, segment_ids: what goes out, all when left out; as: of ReviewRound::Sheet::FORMS,
    # with reviser and SWITCHES; or "inside", with email of a colleague, none for one's own pass, and may:
    # of RIGHTS. What goes out is an operation, and is answered as one.
    def create
      return started(send_out) unless params[:as] == "inside"

      answer(ReviewRoundResource.new(begin_inside), status: :created)
    end

    # params: as: "file", the sheet as it went out, or "report", its changes as a workbook.
    def show
      return send_file_of(round) if params[:as] == "file"
      return send_report(round) if params[:as] == "report"

      changes = round.corrections.includes(segment: :document).joins(segment: :document)
        .order("documents.position", "segments.position")
      render json: { round: ReviewRoundResource.new(round).to_h,
                     changes: ReviewChangeResource.new(changes.to_a).to_h,
                     remarks: NoteResource.new(remarks).to_h, amount: ReviewRound::Amount.measure(round) }
    end

    # params: close: the round is over; resume: it goes on; reopen: all is to be decided again, which is an
    # operation; may: what the colleague may do, nil without access.
    def update
      return started(round.reopen(by: current_user)) if params[:reopen]

      sound = round.close if params[:close]
      round.resume if params[:resume]
      round.invite(params[:may]) if params.key?(:may)
      round.project.announce("recut")
      render json: { round: ReviewRoundResource.new(round).to_h, reviewed: sound }
    end

    def destroy
      removal = round.remove(by: current_user)
      removal.is_a?(Operation) ? started(removal) : head(:no_content)
    end

    private

    # In the order of the text.
    def remarks
      round.remarks.includes(:document, :segment)
        .sort_by { |note| [note.document&.position.to_i, note.segment&.position.to_i, note.id] }
    end

    def begin_inside
      ReviewRound.begin_inside(project, by: current_user, email: params[:email].to_s,
        may: params.fetch(:may, "change"), ids: ids_of(:segment_ids),
        options: { "as" => "inside", "document_ids" => ids_of(:document_ids) })
    end

    def send_out
      options = SWITCHES.to_h { |name| [name, ActiveModel::Type::Boolean.new.cast(params.fetch(name, true))] }
      options["as"] = params[:as].to_s.presence || "docx"
      options.merge!(hand_over_options) if options["as"] == "hand-over"
      options["document_ids"] = ids_of(:document_ids)
      ReviewRound.send_out(project, reviser: params[:reviser].to_s, by: current_user, options: options,
        ids: ids_of(:segment_ids))
    end

    def ids_of(name) = params[name] && Array(params[name]).map(&:to_i)

    # params: task, message: to the colleague; due_at; memories, termbases: do they go along? matching: only
    # what matches.
    def hand_over_options
      yes = ->(name) { ActiveModel::Type::Boolean.new.cast(params.fetch(name, true)) }
      said = params.permit(:task, :message, :due_at).to_h
      { **said, "memories" => yes[:memories], "termbases" => yes[:termbases],
                "matching" => ActiveModel::Type::Boolean.new.cast(params[:matching]) == true }
    end

    def send_file_of(round) =
      send_data(round.sheet.download, filename: round.sheet.filename.to_s, type: "application/octet-stream")

    def send_report(round)
      report = ReviewRound::Report.new(round)
      send_data report.xlsx, filename: report.name, type: "application/octet-stream"
    end

    def round = @round ||= ReviewRound.where(project: current_user.projects).find(params[:id])
  end
end

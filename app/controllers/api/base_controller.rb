# Base of the API: signed in, JSON, and every refusal a sentence.
module Api
  class BaseController < ApplicationController
    before_action :require_user
    rescue_from(Glossema::Refused) { |error| refuse(error.code, error.message) }
    rescue_from(ActiveRecord::RecordNotFound) do
      refuse("not-found", "This does not exist, or is not yours.", :not_found)
    end
    rescue_from(ActiveRecord::RecordInvalid) do |error|
      refuse(
        "not-valid",
        "#{error.record.errors.map { |fault|
          fault.attribute == :base ? fault.message : "#{fault.attribute.to_s.humanize} #{fault.message}"
        }.to_sentence}.".sub(
          /\.\.\z/,
          "."
        )
      )
    end
    rescue_from(ActionController::ParameterMissing) do |error|
      refuse("not-valid", "#{error.param} is missing.")
    end
    rescue_from(ActionController::InvalidAuthenticityToken) do
      response.headers["X-CSRF-Token"] = form_authenticity_token
      refuse("forged", "This page is out of date. Reload it and try again.")
    end

    rescue_from(ActiveRecord::StatementInvalid) do |error|
      raise error unless error.cause.is_a?(SQLite3::FullException)

      refuse("disk-full", "The disk of the server is full: nothing can be kept until there is room.", 507)
    end

    private

    # Whoever the page belongs to must still be who is signed in: what one typed is never kept as another's.
    def require_user
      return refuse("signed-out", "Sign in first.", :unauthorized) unless current_user

      owner = request.headers["X-User"].presence
      return unless owner && owner.to_i != current_user.id

      refuse("other-account", "Another account is signed in now. Sign in as before to go on.", :unauthorized)
    end

    # Tells all open pages of a project what segments read now; answers the segments as they were told.
    def tell(project, segments)
      told = SegmentResource.new(segments).to_h
      project.announce("segments", tab: request.headers["X-Tab"], segments: told)
      told
    end

    def refuse(code, message, status = 422)
      render json: { error: { code: code, message: message } }, status: status
    end

    # The files of a parameter. Raises Refused when there is none.
    def uploads(name)
      files = Array(params[name]).grep(ActionDispatch::Http::UploadedFile)
      files.presence || raise(Glossema::Refused.new("no-file", "No file came with this."))
    end

    def project = @project ||= current_user.projects.find(params[:project_id] || params[:id])

    # The rules a request brings: edited ones, or a file in SRX.
    def given_rules
      return Glossema::Segmentation::Srx.from_h(rule_groups) unless params[:file]

      Glossema::Segmentation::Srx.new(uploads(:file).first.read.force_encoding("UTF-8"))
    end

    # Segmentation rules as the interface edits them: see Srx.from_h.
    def rule_groups
      params
        .require(:groups)
        .map do |group|
          {
            "name" => group[:name],
            "pattern" => group[:pattern],
            "rules" =>
              Array(group[:rules]).map { |rule| rule.permit(:break, :before, :after, words: []).to_h }
          }
        end
    end

    def answer(resource, status: :ok) = render(json: resource.serialize, status: status)
  end
end

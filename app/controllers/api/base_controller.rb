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
      refuse("forged", "This page is out of date. Reload it and try again.")
    end

    private

    def require_user = current_user || refuse("signed-out", "Sign in first.", :unauthorized)

    def refuse(code, message, status = 422)
      render json: { error: { code: code, message: message } }, status: status
    end

    # The files of a parameter. Raises Refused when there is none.
    def uploads(name)
      files = Array(params[name]).grep(ActionDispatch::Http::UploadedFile)
      files.presence || raise(Glossema::Refused.new("no-file", "No file came with this."))
    end

    def project = @project ||= current_user.projects.find(params[:project_id] || params[:id])

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

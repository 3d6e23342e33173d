# Base of the API: signed in, JSON, and every refusal a sentence.
module Api
  class BaseController < ApplicationController
    include FailingDisk
    include Exporting
    include AskingOutside

    prepend_before_action :leave_session_cookie
    before_action :require_user
    include Declared
    include Limited
    include Metered

    rescue_from(Glossema::Refused) { |error| answer_refusal(error) }
    rescue_from(ActiveRecord::RecordNotFound) do
      refuse("not-found", status: :not_found)
    end
    rescue_from(ActiveRecord::RecordInvalid) do |error|
      refuse("not-valid.record", faults: faults_of(error.record))
    end
    rescue_from(ActionController::ParameterMissing) do |error|
      refuse("not-valid.missing", name: error.param)
    end
    # What only the database says: a number that is too large, nothing where something is needed.
    rescue_from(ActiveModel::RangeError) { refuse("not-valid.range") }
    rescue_from(ActiveRecord::NotNullViolation) do |error|
      refuse("not-valid.missing", name: error.message[/\.(\w+)\s*\z/, 1].to_s)
    end
    rescue_from(ActionController::InvalidAuthenticityToken) { offer_new_token }

    RULE_GROUPS = [{ name: :text, pattern: :text,
                     rules: [{ break: :flag, before: :text, after: :text, words: [:text] }] }].freeze

    private

    # The session lives in its cookie. An answer that arrives after the user has signed in again, asked for
    # before, would put the old session back: only what begins, ends or renews one sends it.
    def leave_session_cookie = request.session_options[:skip] = true

    def offer_new_token
      signed_out = request.headers["X-User"].present? && !current_user
      return refuse("signed-out", status: :unauthorized) if signed_out

      send_session_cookie
      response.headers["X-CSRF-Token"] = form_authenticity_token
      refuse("forged")
    end

    # Whoever the page belongs to must still be who is signed in: what one typed is never kept as another's.
    def require_user
      return refuse("signed-out", status: :unauthorized) unless current_user

      owner = request.headers["X-User"].presence
      return unless owner && owner.to_i != current_user.id

      refuse("other-account", status: :unauthorized)
    end

    # Raises Refused for whoever has a second factor and gave no code of it.
    def pass_second_factor(user, status: :unauthorized)
      return unless user.second_factor?

      @refused_as = status
      raise Glossema::Refused.new("code-needed") if params[:code].blank?
      raise Glossema::Refused.new("code-wrong") unless user.second_factor_fits?(params[:code])
    end

    # Tells all open pages of a project what segments read now; answers the segments as they were told.
    def announce_segments(project, segments)
      rows = SegmentResource.new(segments).to_h
      project.announce("segments", tab: request.headers["X-Tab"], segments: rows)
      rows
    end

    # key: "code" or "code.variant" of the catalogue; details: what its sentence names.
    def refuse(key, status: 422, **details)
      answer_refusal(Glossema::Refused.new(key, **details), status)
    end

    # What somebody else changed meanwhile is a conflict.
    def status_of(refusal)
      return @refused_as if @refused_as

      { "changed-meanwhile" => :conflict, "limit" => :too_many_requests }.fetch(refusal.code, 422)
    end

    def answer_refusal(refusal, status = status_of(refusal))
      render json: { error: error_of(refusal) }, status: status
    end

    def error_of(refusal) = { code: refusal.code, message: refusal.message }

    # What is wrong with a record, as a sentence without its stop.
    def faults_of(record)
      faults =
        record.errors.map do |fault|
          next fault.message if fault.attribute == :base

          "#{record.class.human_attribute_name(fault.attribute)} #{fault.message}"
        end
      faults.to_sentence.chomp(".")
    end

    # A parameter that the core looks through by itself.
    def object(name)
      given = params.require(name)
      raise Shape::Wrong, name unless given.respond_to?(:to_unsafe_h)

      given.to_unsafe_h
    end

    # Is nothing to be changed?
    def looking? = request.get? || request.head?

    # The files of a parameter. Raises Refused when there is none.
    def uploads(name)
      files = Array(params[name]).presence || raise(Glossema::Refused.new("no-file"))
      meter("uploads", files.size)
      files
    end

    def project = @project ||= current_user.projects.find(params[:project_id] || params[:id])

    # A memory or termbase, own or shared. right: the right needed, of Share::RIGHTS; one on another server
    # can only be seen this way.
    def reached(kind, id, right: looking? ? "view" : "edit")
      found = current_user.access.readable(kind).find(id)
      right == "view" ? found : current_user.access.allowed!(found, right).here!
    end

    # One that is shared with the user but not owned says so.
    def owned(kind, id) = current_user.access.owned!(reached(kind, id, right: "view"))

    # What hangs on one: found in the scope, and may be what is needed as above.
    def reached_in(scope, name, kind, id, right: looking? ? "view" : "edit")
      found = scope.where(name => current_user.access.readable(kind)).find(id)
      current_user.access.allowed!(found.public_send(name), right)
      found
    end

    # An operation on what the user may see. One of others, which may have changed much, is only undone or
    # ended by whoever may manage it.
    def reached_operation(id)
      found = Operation.find(id)
      right = looking? ? "view" : { current_user.id => "add" }.fetch(found.user_id, "manage")
      case found.subject
      when Memory, Termbase then reached(found.subject.class, found.subject_id, right: right)
      when Project then current_user.projects.find(found.subject_id)
      when Alignment then current_user.alignments.find(found.subject_id)
      else raise ActiveRecord::RecordNotFound if found.user_id != current_user.id
      end
      found
    end

    # Answers an operation that was begun: done already, or accepted.
    def started(operation)
      answer(OperationResource.new(operation), status: operation.under_way? ? :accepted : :created)
    end

    # A kept file, piece by piece.
    def send_blob(attached)
      response.headers["Content-Disposition"] = ActionDispatch::Http::ContentDisposition.format(
        disposition: "attachment", filename: attached.filename.to_s
      )
      response.headers["Content-Type"] = attached.content_type || "application/octet-stream"
      response.headers["Content-Length"] = attached.byte_size.to_s
      response.headers["Last-Modified"] = Time.current.httpdate
      self.response_body = Enumerator.new { |out| attached.download { |piece| out << piece } }
    end

    # Whose rules a request is about: a project's, a client's, or the user's.
    def owner
      return current_user.clients.present.find(params[:client_id]) if params[:client_id]

      params[:project_id] ? project : current_user
    end

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

# Files that are looked at beside the text and never translated: pictures, PDF, documents.
module Api
  class ReferenceFilesController < BaseController
    takes files: [:file]

    # Everything else is shown as the core draws it, or as plain text.
    SHOWN = Project::SHOWN_BY_BROWSERS

    # They are shown in a frame beside the text.
    content_security_policy(only: :show) { |policy| policy.frame_ancestors :self }

    def index = render(json: list)

    def create
      into = project.reference_files
      uploads(:files).each do |file|
        name = file.original_filename
        into.attach(io: file, filename: name)
      end
      render json: list, status: :created
    end

    # The file as it is looked at.
    def show
      type = file.content_type
      if SHOWN.include?(type)
        return send_data(file.download, type: type, disposition: "inline", filename: file.filename.to_s)
      end

      response.headers["Content-Security-Policy"] =
        "default-src 'none'; img-src data:; style-src 'unsafe-inline'; frame-ancestors 'self'"
      # The core escapes it.
      render html: page.html_safe, layout: false
    end

    def destroy
      file.purge
      head :no_content
    end

    private

    def list
      project.reload.reference_files.map do |file|
        {
          id: file.id,
          name: file.filename.to_s,
          byte_size: file.byte_size,
          kind: SHOWN.include?(file.content_type) ? file.content_type.split("/").first : "page"
        }
      end
    end

    def file
      @file ||=
        ActiveStorage::Attachment.find_by!(
          id: params[:id],
          name: "reference_files",
          record_type: "Project",
          record_id: current_user.projects.select(:id)
        )
    end

    def page
      Glossema::Document
        .new(file.download, name: file.filename.to_s)
        .preview { |segment| Glossema::Html.render(segment.content) }
    rescue Glossema::Refused => e
      "<p>#{Glossema::Html.escape(e.message)}</p>"
    end
  end
end

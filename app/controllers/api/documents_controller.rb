# Files of a project: dropped, set, taken out.
module Api
  class DocumentsController < BaseController
    def create
      position = project.documents.maximum(:position).to_i
      documents =
        uploads(:files).map do |file|
          document =
            project.documents.new(
              position: position += 1,
              name: File.basename(file.original_filename.to_s.tr("\\", "/")),
              byte_size: file.size,
              checksum: Digest::SHA256.file(file.tempfile.path).hexdigest
            )
          document.original.attach(io: file, filename: document.name, identify: false)
          document.save!
          document
        end
      documents.each(&:read_later)
      answer(DocumentResource.new(documents), status: :created)
    end

    def update
      document.assign_attributes(
        { by: params[:by], options: params[:options] && document.options.merge(options) }.compact
      )
      # What the file cannot be read by is refused before it is kept: the work goes on with what was.
      document.opened(as_stored: false) if document.project.begun?
      document.save!
      # Once the work has begun what is translated is kept.
      if document.project.begun?
        RecutJob.perform_later(document.project, current_user, [document])
      else
        document.read_later
      end
      answer(DocumentResource.new(document))
    end

    def destroy
      return refuse("begun", "The project has begun; its files stay.") if document.project.begun?

      document.destroy!
      head :no_content
    end

    private

    # Only options the format has, of the kind they are.
    def options
      known =
        Glossema::Formats
          .all
          .find { |format| format::NAME == document.format }
          &.then { |format| Glossema::Formats.options_of(format) } || []
      known
        .to_h { |option| [option["name"], params[:options][option["name"]]] }
        .compact
        .to_h do |name, value|
          [name, value.is_a?(String) ? value[0, 20_000] : [true, "true"].include?(value)]
        end
    end

    def document = @document ||= Document.where(project: current_user.projects).find(params[:id])
  end
end

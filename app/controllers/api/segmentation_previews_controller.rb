# A look at what other rules or settings would do to the translation of a project.
module Api
  class SegmentationPreviewsController < BaseController
    takes document_id: :id, by: :text, options: :any, groups: RULE_GROUPS, file: :file

    # params: document_id with by and options; or groups or a file of rules; with neither, today's rules.
    def create
      documents = project.documents.select(&:ready?)
      documents = documents.select { |one| one.id == params[:document_id].to_i } if params[:document_id]
      settings = { by: params[:by], options: options_of(documents.first) }
      render json: Document::SegmentationPreview.new(documents, settings: settings, rules: rules).to_h
    end

    private

    def options_of(document)
      params[:options] && document && document.options.merge(document.known_options(params[:options]))
    end

    def rules
      return given_rules if params[:file] || params[:groups]
    end
  end
end

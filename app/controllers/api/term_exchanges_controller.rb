# A termbase as TBX, CSV, TSV or XLSX, and the entries of a file imported into one.
module Api
  class TermExchangesController < BaseController
    takes as: :text, style: :text, file: :file, way: :text, roles: :text

    # See Exporting. params: as: "tbx", "csv", "tsv" or "xlsx"; style: of TBX, where it is not that of the
    # file it came from.
    def show
      form = Termbase::Export::FORMS.include?(params[:as]) ? params[:as] : "tbx"
      export(Operations::TermbaseExport, termbase, { "as" => form, "style" => params[:style].presence })
    end

    # params: file; way: "id", "term" or "add"; roles: of the columns of a table, a list as JSON. Answers the
    # operation.
    def create
      termbase
      file = uploads(:file).first
      roles = params[:roles].present? ? JSON.parse(params[:roles]) : nil
      started(Operations::TermImport.of_file(termbase, file.read, file.original_filename, by: current_user,
        way: params[:way].to_s, roles: roles))
    end

    rescue_from(JSON::ParserError) { refuse("columns-unknown") }

    private

    def termbase = @termbase ||= reached(Termbase, params[:termbase_id])
  end
end

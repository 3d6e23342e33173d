# A termbase out as TBX, CSV, TSV or XLSX, and the entries of a file into one.
module Api
  class TermExchangesController < BaseController
    # params: as: "tbx", "csv", "tsv" or "xlsx"; style: of TBX, where it is not that of the file it came from.
    def show
      export = Termbase::Export.new(termbase, style: params[:style].presence)
      form = Termbase::Export::FORMS.include?(params[:as]) ? params[:as] : "tbx"
      send_data export.bytes(form), filename: export.name(form), type: "application/octet-stream"
    end

    # params: file; way: "id", "term" or "add"; roles: of the columns of a table, a list as JSON.
    def create
      termbase
      file = uploads(:file).first
      roles = params[:roles].present? ? JSON.parse(params[:roles]) : nil
      act = Termbase::Import.begin(termbase, file.read, file.original_filename, by: current_user,
        way: params[:way].to_s, roles: roles)
      answer(TermbaseActResource.new(act), status: :created)
    end

    rescue_from(JSON::ParserError) { refuse("columns-unknown") }

    private

    def termbase = @termbase ||= reached(Termbase, params[:termbase_id])
  end
end

# A look at a table of terms before it is brought in: what its columns seem to hold.
module Api
  class TermTablesController < BaseController
    takes file: :file

    # params: file. Of a TBX file there is nothing to say: {tbx: true}.
    def create
      termbase = reached(Termbase, params[:termbase_id])
      file = uploads(:file).first
      bytes = file.read
      return render(json: { tbx: true }) if Glossema::Exchange::TermFile.tbx?(bytes, file.original_filename)

      table = Glossema::Exchange::TermTable.new(bytes, file.original_filename, termbase.languages)
      render json: table.to_h
    end
  end
end

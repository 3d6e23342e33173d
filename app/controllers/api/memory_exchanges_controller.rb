# A memory as TMX, and units of a file imported into a memory.
module Api
  class MemoryExchangesController < BaseController
    takes file: :file, different: :text, columns: :text

    # See Exporting.
    def show = export(Operations::MemoryExport, memory)

    rescue_from(JSON::ParserError) do
      refuse("columns-unknown")
    end

    # params: file; different ("both", "newer"): what happens where a source has another target; columns: for
    # tables. Answers the operation.
    def create
      memory
      newer = params[:different] == "newer" ? "newer" : "both"
      started(Operations::UnitImport.of_file(memory, uploads(:file).first, by: current_user, different: newer,
        **columns))
    end

    private

    def columns
      return {} if params[:columns].blank?

      { columns: JSON.parse(params[:columns]).slice("source_column", "target_column") }
    end

    def memory = @memory ||= reached(Memory, params[:memory_id])
  end
end

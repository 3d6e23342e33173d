# The columns of a table somebody wants to bring into a memory, as far as they can be guessed. Nothing is kept
# of it.
module Api
  class MemoryTablesController < BaseController
    takes file: :file

    # params: file.
    def create
      memory = reached(Memory, params[:memory_id])
      file = uploads(:file).first
      render json:
               Glossema::Exchange::TableColumns.new(
                 file.read,
                 file.original_filename,
                 [memory.source_lang, memory.target_lang]
               ).to_h
    end
  end
end

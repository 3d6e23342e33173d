# A memory out as TMX, and units of a file into a memory.
module Api
  class MemoryExchangesController < BaseController
    # Sent while it is written: a million units are not held in memory.
    def show
      found = memory
      response.headers["Content-Disposition"] = ActionDispatch::Http::ContentDisposition.format(
        disposition: "attachment",
        filename: "#{found.name.gsub(/[^\p{L}\p{N}]+/, "-")}.tmx"
      )
      response.headers["Content-Type"] = "application/xml; charset=utf-8"
      response.headers["Last-Modified"] = Time.current.httpdate
      self.response_body =
        Enumerator.new do |out|
          Glossema::Exchange::Tmx.write(
            out,
            found.units.find_each(batch_size: 1000).lazy.map(&:to_pair),
            source_lang: found.source_lang,
            target_lang: found.target_lang
          )
        end
    end

    rescue_from(JSON::ParserError) do
      refuse("columns-unknown")
    end

    # params: file; different ("both", "newer"): what happens where a source has another target; columns: for
    # tables.
    def create
      memory
      file = uploads(:file).first
      columns =
        (
          if params[:columns].present?
            { "columns" => JSON.parse(params[:columns]).slice("source_column", "target_column") }
          else
            {}
          end
        )
      change =
        memory.acts.new(
          user: current_user,
          kind: "import",
          state: "waiting",
          total: file.size,
          options: {
            "file" => file.original_filename,
            "different" => params[:different] == "newer" ? "newer" : "both",
            **columns
          }
        )
      change.file.attach(io: file, filename: file.original_filename, identify: false)
      change.save!
      ImportUnitsJob.perform_later(change)
      render json: MemoryChangeResource.new(change).serialize, status: :created
    end

    private

    def memory = @memory ||= reached(Memory, params[:memory_id])
  end
end

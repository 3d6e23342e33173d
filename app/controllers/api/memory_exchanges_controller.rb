# A memory out as TMX, and TMX into a memory.
module Api
  class MemoryExchangesController < BaseController
    BATCH = 500

    def show
      out = +""
      pairs = memory.units.order(:id).lazy.map { |unit| pair(unit) }
      Glossema::Exchange::Tmx.write(out, pairs, source_lang: memory.source_lang, target_lang: memory.target_lang)
      send_data out, filename: "#{memory.name.gsub(/[^\p{L}\p{N}]+/, '-')}.tmx", type: "application/xml"
    end

    def create
      pairs = []
      languages = { source_lang: memory.source_lang, target_lang: memory.target_lang }
      file = uploads(:file).first
      read = Glossema::Exchange::Tmx.read(file.read, name: file.original_filename, **languages) { |pair| pairs << pair }
      added = pairs.each_slice(BATCH).sum { |slice| memory.take_in(slice) }
      render json: { read: read[:read], added: added, skipped: read[:skipped] }, status: :created
    end

    private

    def memory = @memory ||= current_user.memories.find(params[:memory_id])

    def pair(unit)
      attributes = unit.attributes.slice("author", "client", "subject", "project", "file", "origin").compact.merge("created_at" => unit.created_at.iso8601, "updated_at" => unit.updated_at.iso8601, "used" => unit.used)
      Glossema::Exchange::Tmx::Pair.new(source: unit.source, target: unit.target, attributes: attributes)
    end
  end
end

# The film beside subtitles: given, played in ranges, taken away.
module Api
  class FilmsController < BaseController
    takes files: [:file]

    # No answer is longer, however much is asked for: players ask on.
    PIECE = 2.megabytes

    def create
      document.take_film(uploads(:files).first)
      answer(DocumentResource.new(document), status: :created)
    end

    def show
      return head(:not_found) unless document.film.attached?

      headers.merge!("Accept-Ranges" => "bytes", "X-Content-Type-Options" => "nosniff",
        "Content-Security-Policy" => "default-src 'none'; media-src 'self'")
      return whole unless request.headers["Range"]

      asked = Rack::Utils.get_byte_ranges(request.headers["Range"], film.byte_size)&.first
      asked ? piece(asked) : unknown_range
    end

    def destroy
      document.film.purge
      answer(DocumentResource.new(document.reload))
    end

    private

    def document
      @document ||= Document.where(project: current_user.projects).find(params[:document_id])
    end

    def film = document.film.blob
    def path = film.service.path_for(film.key)

    def whole = send_file(path, type: film.content_type, disposition: "inline", filename: film.filename.to_s)

    def piece(asked)
      last = [asked.end, asked.begin + PIECE - 1].min
      response.headers["Content-Range"] = "bytes #{asked.begin}-#{last}/#{film.byte_size}"
      send_data File.binread(path, last - asked.begin + 1, asked.begin), type: film.content_type,
        disposition: "inline", status: :partial_content
    end

    def unknown_range
      response.headers["Content-Range"] = "bytes */#{film.byte_size}"
      head :range_not_satisfiable
    end
  end
end

# HTTP whose headers, and answers that come before them ("100 Continue"), may be only so long.
class HttpClient::LimitedHttp < Net::HTTP
  # Counts what is read from a socket until the headers are over.
  module Counted
    attr_writer :headers_over

    private

    def rbuf_fill
      before = @rbuf_empty ? 0 : @rbuf.bytesize
      super
      return if @headers_over

      @headers_bytes = @headers_bytes.to_i + @rbuf.bytesize - before
      return if @headers_bytes <= HttpClient::LARGEST_HEADERS

      raise HttpClient::Failure, I18n.t("outside.headers-too-long", size: HttpClient::LARGEST_HEADERS >> 10)
    end
  end

  # The body comes next: it has a limit of its own.
  def headers_read = @socket.headers_over = true

  private

  def connect
    super
    @socket.singleton_class.prepend(Counted)
  end
end

# The protocol by which others reach memories and termbases here (docs/protocol.md): requests go to the core’s
# service, its answers go out.
module Remote
  class ServiceController < ActionController::API
    LARGEST = 4 << 20
    rate_limit to: 1_200,
      within: 1.minute,
      with: -> { fault(429, "limit", "There were too many requests from one address in a minute.") }

    def answer
      if request.content_length.to_i > LARGEST
        return fault(413, "size", "A request has #{LARGEST >> 20} MB at most.")
      end

      asked = [request.request_method, request.path_parameters[:path].to_s]
      status, value = Glossema::Remote::Service.new(RemoteKey::Holder.new)
        .answer(*asked, query: request.query_parameters, body: body, key: key)
      render json: value, status: status
    rescue JSON::ParserError
      fault(400, "json", "The body is not JSON.")
    end

    private

    def key = request.authorization.to_s[/\ABearer (.+)\z/, 1]

    def body
      text = request.post? ? request.raw_post.to_s.dup.force_encoding("UTF-8") : ""
      raise JSON::ParserError unless text.valid_encoding?

      text.empty? ? nil : JSON.parse(text)
    end

    def fault(status, code, message)
      render json: { error: { code: code, message: message } }, status: status
    end
  end
end

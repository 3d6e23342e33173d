# Talking to the API in request specs: signed in, and what it answers.
module Talking
  def sign_in(user)
    post "/api/session", params: { email: user.email, password: "cargo-bicycle" }, as: :json
  end

  # A file as a form sends it.
  def upload(bytes, name) =
    Rack::Test::UploadedFile.new(StringIO.new(bytes), "application/octet-stream", true,
      original_filename: name)

  def body = response.parsed_body
  def message = body.dig("error", "message")
end

RSpec.configure { |config| config.include Talking, type: :request }

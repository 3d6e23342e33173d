# Talking to the API in request specs: signed in, and what it answers.
module Talking
  def sign_in(user)
    post "/api/session", params: { email: user.email, password: "cargo-bicycle" }, as: :json
  end

  # A file as a form sends it.
  def upload(bytes, name) =
    Rack::Test::UploadedFile.new(StringIO.new(bytes), "application/octet-stream", true,
      original_filename: name)

  # What was begun, done as workers do it. Returns the operation.
  def finish(id = body["id"])
    perform_enqueued_jobs(only: OperationJob)
    Operation.find(id)
  end

  # What an operation that was begun comes to, or the error that was answered.
  def outcome = body.key?("error") ? body : finish.result

  def undo(operation)
    id = operation.is_a?(Operation) ? operation.id : operation
    patch "/api/operations/#{id}", params: { state: "undone" }, as: :json
    finish(id)
  end

  # The bytes of a file that an operation makes.
  def fetch(address, **params)
    get address, params: params
    return response.body unless response.status == 202

    id = body["id"]
    finish(id)
    get "/api/operations/#{id}/file"
    response.body
  end

  def body = response.parsed_body
  def message = body.dig("error", "message")
end

RSpec.configure { |config| config.include Talking, type: :request }

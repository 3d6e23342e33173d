# Requests that ask servers of others: none waits for long, and the answer is fetched when it is there.
RSpec.describe "Asking servers of others" do
  let(:user) { make_user }
  let(:server) { TCPServer.new("127.0.0.1", 0) }

  before do
    stub_const("OutsideWork::WAIT", 0.1)
    HttpClient.broken.clear
    OutsideWork.clear
    sign_in(user)
  end

  after { @serving&.kill }

  def answer_after(seconds)
    @serving = Thread.new do
      loop do
        Thread.new(server.accept) do |socket|
          socket.gets("\r\n\r\n")
          sleep(seconds)
          body = JSON.generate("protocol" => 1, "name" => "Slow", "memories" => [], "termbases" => [])
          socket.write("HTTP/1.1 200 OK\r\nContent-Length: #{body.bytesize}\r\n\r\n#{body}")
          socket.close
        end
      end
    end
  end

  def ask
    post "/api/remote_trials", params: { address: "http://127.0.0.1:#{server.addr[1]}", key: "k" }, as: :json
  end

  it "answers at once that it is pending, and later what came of it" do
    answer_after(0.6)
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    ask
    expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - began).to be < 0.5
    expect(response).to have_http_status(:accepted)
    pending = body["pending"]
    get "/api/pending_answers/#{pending}"
    expect(body).to eq("pending" => pending)
    sleep(0.8)
    get "/api/pending_answers/#{pending}"
    expect(response).not_to have_http_status(:accepted)
    expect(body.keys).to include("server").or include("error")
    get "/api/pending_answers/#{pending}"
    expect(response).to have_http_status(:not_found)
  end

  it "lets nobody else see it, and one person ask only so much at once" do
    answer_after(2)
    ask
    pending = body["pending"]
    OutsideWork::EACH.times { ask }
    expect(body["error"]["code"]).to eq("outside-busy")
    sign_in(make_user("Anneke Vos"))
    get "/api/pending_answers/#{pending}"
    expect(response).to have_http_status(:not_found)
  end
end

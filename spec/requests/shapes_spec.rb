# Every route of the API with parameters of every wrong shape: answered in a sentence, never by a fault.
RSpec.describe "Shapes" do
  include EveryRoute

  let(:owner) { make_user }
  let(:all) { Everything.new(owner) }

  # As JSON: what Ruby’s own would not write is among it.
  WRONG = [
    "null", "true", "false", "0", "-1", "1.5", "1e308", "1e400", "1#{"0" * 30}", "9223372036854775808", '""',
    '" "', '"x"', '"0000-00-00"', '"9999-99-99T99:99"', '"2026-02-30"', '"a\\u0000b"', '"1e400"',
    '"%"', '"../../etc/passwd"', '"{1}{/2}"', '"NaN"', "[]", "[[]]", "[null]", "[{}]", '[1,"a",{}]', "{}",
    '{"a":null}', '{"a":{"b":[]}}', '{"0":{"id":"x"}}', "#{"[" * 30}#{"]" * 30}", "\"#{"ä" * 300}\""
  ].freeze
  BODIES = ["[]", '{"name":"\\ud800"}', '"x"', "null", "1", "{", "", "{\"a\":1}x",
            "#{"[" * 200}#{"]" * 200}", "\xFF", '{"":[]}',
            '{"id":[],"project_id":{},"controller":[],"action":{},"format":[]}'].freeze
  PLACES = %w[abc -1 99999999999999999999 %00 1e5 null 1;-- %F0%9F%92%A5 %5B%5D 1.5].freeze

  # What stands where a fault would; else nil. Signed in anew where the session was ended. What is only read
  # is sent as JSON too: in an address there would be texts alone.
  def fault(route, path = route.path, json: "{}", headers: {})
    read = route.verb == :get
    status = nil
    leaving_nothing do
      public_send(read ? :post : route.verb, path, params: json, headers: {
        "Content-Type" => "application/json", "Accept" => "application/json", **headers,
        **(read ? { "X-HTTP-Method-Override" => "GET" } : {})
      })
      status = response.status
    end
    sign_in(owner) if route.action == "destroy" && route.controller.match?(/sessions|accounts/)
    "answers #{status}" if status >= 500
  rescue StandardError => e
    "#{e.class}: #{e.message.lines.first.to_s.truncate(200)}"
  end

  # {what was sent => what went wrong}
  def faults(cases) = cases.filter_map { |name, made| (found = made.call) && [name, found] }.to_h

  before do
    all.numbers
    sign_in(owner)
    stub_const("OutsideWork::WAIT", 0.01)
  end

  # What the shapes of a route let through: nil where it is refused for a shape.
  def passed(route, sent)
    Shape.read(route.shapes.slice(*sent.keys), sent.to_h { |name, wrong| [name.to_s, parsed(wrong)] })
  rescue Shape::Wrong
    nil
  end

  def parsed(json) = JSON.parse("[#{json}]", allow_nan: true).first
  def written(sent) = "{#{sent.map { |key, value| "#{JSON.generate(key)}:#{value}" }.join(",")}}"

  # What is sent to a route: of what its shapes let through, all parameters with one value together, and null
  # in each by itself.
  def sent_to(route)
    let = WRONG.index_with { |wrong| route.shapes.keys.select { |name| passed(route, { name => wrong }) } }
    alone = let.fetch("null").map { |name| { name => "null" } }
    alone + let.reject { |_, names| names.empty? }.map { |wrong, names| names.index_with(wrong) }
  end

  it "are refused where a parameter has one, or mean nothing" do
    cases = every_route.flat_map { |route| sent_to(route).map { |sent| [route, sent] } }
    expect(faults(cases.map { |route, sent|
      [[route.verb, route.path, sent], -> { fault(route, json: written(sent)) }]
    })).to eq({})
  end

  it "are refused by the name of the parameter" do
    every_route.reject { |route| route.open? || route.named || route.verb == :delete }.each do |route|
      name = route.shapes.keys.find { |one| !passed(route, { one => '{"a":{"b":[]}}' }) } or next
      fault(route, json: %({"#{name}":{"a":{"b":[]}}}))
      expect([response.status, message]).to eq([422, "The value of #{name} is not valid."])
    end
  end

  it "are refused where the whole body has one" do
    expect(faults(every_route.reject { |route| route.verb == :get }.product(BODIES).map { |route, json|
      [[route.verb, route.path, json], -> { fault(route, json: json) }]
    })).to eq({})
  end

  it "are told as what cannot be read, and a fault as the server’s own, both in a sentence" do
    post "/api/projects", params: "{", headers: { "Content-Type" => "application/json" }
    expect([response.status, body["error"]["code"]]).to eq([400, "request-broken"])
    answer = FaultAnswer.new(->(_) { [500, {}, ["page"]] })
    told = ->(path) { answer.call("PATH_INFO" => "/500", "action_dispatch.original_path" => path).last.first }
    expect(JSON.parse(told["/api/today"])["error"]["code"]).to eq("server-fault")
    expect(told["/projects"]).to eq("page")
  end

  it "are not found where an address has one" do
    cases = every_route.flat_map { |route|
      parts = route.path.scan(/\d+/).size
      next [] if parts.zero?

      PLACES.map do |place|
        path = route.path.sub(/\d+/) { place }
        [[route.verb, path], -> { fault(route, path) }]
      end
    }
    expect(faults(cases)).to eq({})
  end

  it "are of no use in a header" do
    sent = ["X-User", "X-Tab", "Range", "Accept-Language", "Client-Ip", "X-Forwarded-For", "X-CSRF-Token"]
      .product(["x", "-1", "9" * 40, "a,b", "bytes=9-1", "1\xFF".b, "[]"])
    routes = every_route.select { |route| %w[show update create].include?(route.action) }.first(8)
    cases = sent.product(routes).map { |(name, value), route|
      [[route.path, name, value], -> { fault(route, headers: { name => value }) }]
    }
    expect(faults(cases)).to eq({})
  end
end

# Deliveries: some of the files or all, with a message to the client, and what reads otherwise since.
RSpec.describe "Deliveries" do
  let(:user) { make_user }
  let(:project) do
    made = make_project(user, "Check the chain.\n\nStop now.", name: "one.txt")
    made.update!(client: user.clients.create!(name: "Tarnholt", people: [{ "name" => "Ada Finch" }]))
    add_file(made, "Oil it.", "two.txt")
    made.reload
  end
  let(:segments) { project.segments.joins(:document).order("documents.position", :position).to_a }

  before do
    sign_in(user)
    ["Controllare la catena.", "Fermarsi.", "Oliare."].zip(segments) { |text, segment| write(segment, text) }
  end

  def add_file(project, text, name)
    document = project.documents.new(position: 2, name: name, byte_size: text.bytesize)
    document.original.attach(io: StringIO.new(text), filename: name, identify: false)
    document.save!
    read_now(document)
  end

  def write(segment, text) = segment.reload.confirm(text, origin: { "kind" => "typed" }, by: user)

  def deliver(**fields)
    post "/api/projects/#{project.id}/deliveries", params: fields, as: :json
    made = outcome
    return made if made.key?("error")

    get "/api/projects/#{project.id}/deliveries"
    body.find { |one| one["id"] == made["delivery_id"] }
  end

  it "tell what of each file is in the source language, untouched or on purpose" do
    segments[1].reload.keep_draft("", origin: { "kind" => "typed" }, by: user)
    write(segments[2], "Oil it.")
    told = deliver["files"].map { |file| file["proof"]["source_text"] }
    expect(told).to eq([
      { "purpose" => { "count" => 0, "places" => [] }, "otherwise" => [],
        "drafts" => { "count" => 0, "places" => [] },
        "untouched" => { "count" => 1, "places" => [{ "number" => 2, "text" => "Stop now." }] } },
      { "purpose" => { "count" => 1, "places" => [{ "number" => 1, "text" => "Oil it." }] },
        "drafts" => { "count" => 0, "places" => [] },
        "untouched" => { "count" => 0, "places" => [] }, "otherwise" => [] }
    ])
  end

  describe "of a file that another version has read" do
    let(:document) { project.documents.first }

    def bytes_of(name) = project.deliveries.last.files.find_by(name: name).content.download

    it "hold every translation at its own text" do
      keys = document.segments.pluck(:key)
      document.segments.zip(keys.reverse) { |segment, key| segment.update_columns(key: key) }
      deliver
      expect(bytes_of("one_it-IT.txt")).to eq("Controllare la catena.\n\nFermarsi.")
    end

    it "are refused where a text is another one, until the file is read again" do
      segments[1].update_columns(source: "Halt now.")
      deliver
      expect(Operations::Delivery.last.message).to include("one.txt", "2 “Halt now.”", "Brief")
      expect(project.deliveries.count).to eq(0)
      get "/api/projects/#{project.id}"
      expect(body["documents"].pluck("outdated")).to eq([true, false])
      patch "/api/documents/#{document.id}", params: { read_again: true }, as: :json
      expect(outcome).not_to have_key("error")
      expect(document.segments.reload.map { |one| [one.source, one.target, one.state] }).to eq([
        ["Check the chain.", "Controllare la catena.", "translated"], ["Stop now.", "Fermarsi.", "draft"]
      ])
      deliver
      expect(bytes_of("one_it-IT.txt")).to eq("Controllare la catena.\n\nFermarsi.")
      expect(document.reload).not_to be_outdated
    end
  end

  it "never stand outside of the folder they are unpacked into" do
    project.documents.first.update_columns(name: "../../one.txt")
    project.update_columns(file_pattern: "../{name}")
    deliver
    project.deliveries.last.files.last.update_columns(name: "..\\..\\it/../two.txt")
    get "/api/deliveries/#{project.deliveries.last.id}"
    names = Zip::File.open_buffer(StringIO.new(response.body)).map(&:name)
    expect(names).to contain_exactly("it-IT/one_it-IT.txt", "file/file/it/file/two.txt")
    expect(project.documents.create!(position: 3, name: "../etc/x.txt").name).to eq("x.txt")
  end

  def since
    get "/api/projects/#{project.id}/delivery_differences"
    body
  end

  # The cells of each sheet of a workbook, without headings.
  def cells(bytes)
    zip = Zip::File.open_buffer(StringIO.new(bytes))
    read = ->(path) { Nokogiri::XML(zip.read("xl/#{path}.xml")).remove_namespaces! }
    shared = read["sharedStrings"].xpath("//si").map(&:text)
    %w[worksheets/sheet1 worksheets/sheet2].map do |path|
      read[path].xpath("//row").drop(1).map do |row|
        row.xpath("c").map { |cell| cell["t"] == "s" ? shared[cell.text.to_i] : cell.text }
      end
    end
  end

  it "take the files that are wanted, and keep what was written to the client" do
    made = deliver(document_ids: [segments[2].document_id], message: "Here it is.")
    expect(made["files"].map { |file| file["name"] }).to eq(["two_it-IT.txt"])
    expect(made["message"]).to eq("Here it is.")
    expect(deliver["files"].size).to eq(2)
    expect(deliver(document_ids: [0])["error"]["code"]).to eq("nothing-ready")
  end

  it "propose a message with the client’s name, the reference, the language and the files" do
    get "/api/projects/#{project.id}/readiness"
    expect(body["message"]).to include("Dear Ada Finch,", project.reference, "in Italian", "– one.txt",
      "– two.txt", user.name)
  end

  it "say what reads otherwise since the last one" do
    expect(since).to include("number" => nil, "count" => 0)
    deliver
    expect(since).to include("number" => 1, "count" => 0)
    write(segments[1], "Arrestarsi.")
    expect(since["count"]).to eq(1)
    expect(since["rows"].first).to include("number" => 2, "file" => "one.txt", "before" => "Fermarsi.",
      "now" => "Arrestarsi.")
    expect(since["rows"].first["differences"].map { |one| one.values_at("memory", "source") }).to eq(
      [%w[Fermarsi Arrestarsi]]
    )
    expect(since["document_ids"]).to eq([segments[1].document_id])
    get "/api/projects/#{project.id}/delivery_differences", params: { as: "file" }
    expect(cells(response.body)).to eq([
      [%w[one.txt 5 2 1 2], %w[two.txt 2 1 0 0]],
      [["one.txt", "2", "Stop now.", "Fermarsi.", "Arrestarsi.", "2"]]
    ])
    deliver(document_ids: since["document_ids"])
    expect(since).to include("number" => 2, "count" => 0, "document_ids" => [])
  end

  it "teach the memories that learn then only what went out, and what a later one brings is new" do
    memory = make_memory(user, [])
    project.attach([{ "memory_id" => memory.id, "learns" => "deliver" }])
    expect(deliver(document_ids: [segments[2].document_id])["learned"]).to eq(1)
    expect(memory.units.pluck(:source)).to eq(["Oil it."])
    expect(deliver["learned"]).to eq(2)
    expect(memory.units.count).to eq(3)
  end

  it "ask for spelling and open notes before" do
    write(segments[1], "Fermarsi xyzzy.")
    Note.add(segments[0], "Ask Ada", by: user)
    get "/api/projects/#{project.id}/readiness"
    expect(body["items"].transform_values { |one| one["count"] }).to include("misspelt" => 1, "notes" => 1)
  end

  it "calls files and folders by the pattern, and counts their versions" do
    project.update!(file_pattern: "{target}/{date}/{name} v{version}")
    names = Array.new(2) { deliver["files"].first["name"] }
    day = Time.zone.today.iso8601
    base = File.basename(project.documents.first.name, ".*")
    expect(names.map { |name| name.sub(/\.\w+\z/, "") }).to eq(
      ["it-IT/#{day}/#{base} v1", "it-IT/#{day}/#{base} v2"]
    )
    get "/api/deliveries/#{project.deliveries.last.id}"
    entries = Zip::File.open_buffer(StringIO.new(response.body)).map(&:name)
    expect(entries).to include(names.last)
    get "/api/delivered_files/#{project.deliveries.last.files.first.id}"
    expect(response.headers["Content-Disposition"]).to include(%(filename="#{base} v2))
  end
end

# A job with files of every format, made of real documents: dropped, translated from end to end, delivered as
# a ZIP, every file proved.
RSpec.describe "A job of many formats" do
  let(:user) { make_user }
  let(:samples) do
    {
      "docx" => %w[tables.docx notes.docx inline_formatting.docx image_vml.docx],
      "pptx" => %w[deleted.pptx templated.pptx],
      "odt" => %w[footnote.odt tableWithContents.odt textMixedStyles.odt]
    }
  end
  let(:files) do
    paths = samples.flat_map { |folder, names| names.map { |name| File.join(Files::SAMPLES, folder, name) } }
    paths
      .to_h { |path| [File.basename(path), File.binread(path)] }
      .merge("leaflet.txt" => "Check the brakes.\r\nRide on.\r\n")
  end

  before { sign_in(user) }

  def upload(name, bytes)
    Rack::Test::UploadedFile.new(
      StringIO.new(bytes),
      "application/octet-stream",
      true,
      original_filename: name
    )
  end

  def begun_project
    post "/api/projects", as: :json
    id = body["id"]
    perform_enqueued_jobs do
      post "/api/projects/#{id}/documents", params: { files: files.map { |name, bytes| upload(name, bytes) } }
      patch "/api/projects/#{id}",
        params: {
          source_lang: "en-GB",
          target_lang: "it-IT",
          name: "Everything"
        },
        as: :json
      post "/api/projects/#{id}/beginning", as: :json
    end
    Project.find(id)
  end

  it "comes back whole" do
    project = begun_project
    expect(
      project.documents.map { |document| [document.name, document.state, document.format] }
    ).to match_array(
      files.keys.map do |name|
        [name, "ready", { ".txt" => "Text" }.fetch(File.extname(name)) { |ending| ending.delete(".").upcase }]
      end
    )
    project.segments.find_each do |segment|
      if segment.reload.state != "translated"
        segment.reload.confirm(
          Glossema::Pseudo.translate(segment.source_content).written,
          origin: {
            "kind" => "typed"
          },
          by: user
        )
      end
    end
    get "/api/projects/#{project.id}/readiness"
    # Its words are made up.
    expect(body["items"].except("misspelt")).to eq({})

    post "/api/projects/#{project.id}/deliveries", as: :json
    finish
    get "/api/projects/#{project.id}/deliveries"
    delivery = body.first
    expect(delivery["files"].map { |file| [file["name"], file["proof"]["differences"]] }).to match_array(
      files.keys.map { |name| ["#{File.basename(name, ".*")}_it-IT#{File.extname(name)}", []] }
    )
    get "/api/deliveries/#{delivery["id"]}"
    delivered = parts_of(response.body)
    expect(delivered.keys).to all(start_with("it-IT/"))
    expect(delivered.fetch("it-IT/leaflet_it-IT.txt").dup.force_encoding("UTF-8")).to match(
      /\AÇĥéçķ ťĥé ƀŕàķéš ẋ+\.\r\nŔîďé öñ ẋ+\.\r\n\z/
    )
  end

  it "shows every document with a place for each of its segments" do
    project = begun_project
    project.documents.each do |document|
      get "/api/documents/#{document.id}/page"
      places = body["html"].scan(/data-segment="([^"]+)"/).flatten
      shown = document.segments.where.not(block: %w[alt-text property header footer]).pluck(:key)
      expect(places).to include(*shown), document.name
      expect(places.uniq.size).to eq(places.size)
    end
  end

  it "lists its segments as each of them is told alone" do
    project = begun_project
    with_codes = project.segments.where.not(codes: "[]").first
    with_codes.confirm(with_codes.source, origin: { "kind" => "memory", "score" => 99 }, by: user)
    get "/api/projects/#{project.id}/segments"
    alone = SegmentResource.new(project.whole_text.to_a).to_h
    expect(body["segments"].sort_by { |one| one["id"] })
      .to eq(JSON.parse(JSON.generate(alone)).sort_by { |one| one["id"] })
  end
end

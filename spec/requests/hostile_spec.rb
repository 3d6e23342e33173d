# Five hundred files that mean harm, through the real upload: each is refused in a sentence or rendered
# harmless, within seconds and in bounded memory.
RSpec.describe "Hostile files" do
  # No file may take longer; most take some hundredths of a second.
  PATIENCE = 30
  # So many megabytes may the process grow, all files together.
  ROOM = 900
  # What would run, load or send something in a page. Text that merely names it is escaped.
  LIVELY = /<(?:script|iframe|object|embed|form|meta|base|link|template|input|video\b.*?onerror)|\son\w+\s*=|
    (?:href|src|action)\s*=\s*["']?\s*javascript:|srcdoc=|url\(|@import/xi

  let(:user) { make_user }
  let(:project) { user.projects.create!(source_lang: "en", target_lang: "it") }

  before { sign_in(user) }

  def megabytes = File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024

  # Answers what is wrong with how a file was treated, or nil.
  def fault(file)
    Timeout.timeout(PATIENCE) do
      post "/api/projects/#{project.id}/documents", params: { files: [sent(file)] }
      return refused(message) if response.status == 422
      return "status #{response.status}" unless response.status == 201

      document = Document.find(body.first["id"])
      read_now(document)
      read(document.reload)
    end
  rescue Timeout::Error
    "took more than #{PATIENCE} s"
  rescue StandardError => e
    "#{e.class}: #{e.message.lines.first}"
  end

  def sent(file)
    Rack::Test::UploadedFile.new(StringIO.new(file.bytes), "application/octet-stream",
      original_filename: file.name)
  end

  def refused(sentence)
    return if sentence.match?(/\A.{10,600}[.”]\z/m) && !sentence.include?("fault in Glossema")

    "refused as “#{sentence.truncate(120)}”"
  end

  def read(document)
    return refused(document.message) if document.state == "refused"
    return "state #{document.state}" unless document.ready?

    told = document.segments.exists?(["source LIKE ?", "%#{Hostile::SECRET}%"])
    return "a file of the system was read" if told

    get "/api/documents/#{document.id}/page"
    lively = response.status == 200 && body["html"][LIVELY]
    "the preview holds #{lively}" if lively
  ensure
    document.destroy!
  end

  it "are refused in a sentence or rendered harmless" do
    before, counts, faults = megabytes, Hash.new(0), {}
    Hostile.each do |file|
      counts[file.kind] += 1
      found = fault(file)
      faults["#{file.kind}: #{file.name.truncate(60)}"] = found if found
    end
    expect(faults).to eq({})
    expect(counts.values.sum).to be > 500
    expect(megabytes - before).to be < ROOM
    expect(Dir["/tmp/hostile.txt", "/etc/hostile"]).to eq([])
  end

  # A cell that begins with one of these is a formula to a spreadsheet.
  it "leave sheets without formulas of theirs" do
    formulas = ["=1+1", "+cmd", "-2+3", "@SUM(A1)", "\t=1", "\r=1"]
    made = make_project(user, "<p>Read this text.</p>", name: "a.html")
    made.segments.first.confirm("=HYPERLINK(\"http://evil.example\")", origin: { "kind" => "typed" },
      by: user)
    termbase = user.termbases.create!(name: "T")
    formulas.each_with_index { |text, n|
      termbase.add_pair({ "en" => "term #{n}", "it" => text }, by: user, anyway: true)
    }
    %w[csv tsv xlsx].each do |form|
      fetch("/api/termbases/#{termbase.id}/exchange", as: form)
      expect(response).to have_http_status(:ok)
      expect(formulas_in(response.body, form)).to eq([]), form
    end
  end

  def formulas_in(bytes, form)
    if form == "xlsx"
      zip = Zip::File.open_buffer(StringIO.new(bytes))
      return zip.read("xl/worksheets/sheet1.xml").scan("<f>")
    end

    CSV.parse(bytes.dup.force_encoding("UTF-8"), col_sep: form == "csv" ? "," : "\t")
      .flatten.compact.grep(/\A[=+\-@\t\r]/)
  end
end

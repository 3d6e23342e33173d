# A client set up, files counted with and without a memory, laid side by side, and the quote made of it, down
# to the sheet that computes itself.
RSpec.describe "Counting and quoting" do
  let(:user) { make_user }
  let(:folder) { Dir.mktmpdir }
  let!(:memory) do
    make_memory(user, [["Check the straps again.", "Controllare di nuovo le cinghie."]],
      name: "Tarnholt, delivered")
  end
  let(:files) do
    {
      "manual.txt" => "Check the straps again.\nNever leave a child there.\nLoad at most 60 kg.\n",
      "leaflet.txt" => "Check the straps again.\nLoad at most 80 kg.\nAsk before carrying long goods.\n",
      "prices.csv" => "Part,Price\nRear deck with rails,120\nChild seat for the deck,95\n"
    }.map { |name, text| File.join(folder, name).tap { |path| File.write(path, text) } }
  end

  def in_place(label, value)
    find("[aria-label^='#{label}:']").click
    press(:control, "a")
    type(value)
    press(:enter)
  end

  # The cells of a sheet as LibreOffice computes them.
  def computed(path)
    Open3.capture2e("soffice", "-env:UserInstallation=file://#{folder}/office", "--headless", "--convert-to",
      "csv:Text - txt - csv (StarCalc):44,34,76,1,,0,false,true,false", "--outdir", folder, path)
    CSV.read(path.sub(/\.xlsx\z/, ".csv"))
  end

  it "sets a client up, counts three files, lays counts side by side, and makes a quote that adds up" do
    sign_in(user, to: "/clients")
    fill_in "New client name", with: "Tarnholt Cargo Cycles"
    click_button "Add"
    in_place("Subject fields", "Bicycles")
    expect(page).to have_css("[aria-label='Subject fields: Bicycles']")
    click_button "Add rates for a language pair"
    { "Source language" => "english, united kingdom",
      "Target language" => "italian, italy" }.each do |label, language|
      find(".rate-form label", text: /\A#{label}\z/).click
      type(language)
      press(:enter)
    end
    fill_in "Rate", with: "cheap"
    click_button "Save rates"
    expect(page).to have_text("“cheap” is not an amount. Enter it like this: 0.12.")
    fill_in "Rate", with: "0.12"
    fill_in "Minimum fee", with: "1"
    click_button "Save rates"
    expect(page).to have_css(".rate-card", text: "0.12 per word")

    visit "/"
    find("input[type=file]", visible: :all).set(files)
    expect(page).to have_css(".files .name", count: 3)
    find("[aria-label^='Target language:']").click
    type("italian, it")
    press(:enter)
    find("[aria-label^='Client:']").click
    type("tarn")
    press(:enter)
    expect(page).to have_css("[aria-label='Subject field: Bicycles']")
    find("[aria-label^='Add memory:']").click
    find(".ant-select-item-option", text: "Tarnholt, delivered").click
    expect(page).to have_css(".stock .name", text: "Tarnholt, delivered")

    click_link "Count"
    click_button "Count again"
    expect(page).to have_css(".report-head", text: "memories: 1 memory")
    click_button "Compare without memories"
    expect(page).to have_css(".bars .bar", count: 2)
    row = find(".bands tr", text: "exact match")
    expect(row.all("td").map(&:text)).to eq(["8", "2", "10 %", "0.8", "+8"])
    expect(page).to have_css(".counted-files li", count: 3)
    expect(faults).to eq([])

    price = find(".quote-card .price").text
    in_place("Weight of new", "150")
    expect(page).to have_text("“150” is not a percentage from 0 to 100.")
    press(:escape)
    in_place("Weight of new", "50")
    expect(page).to have_no_css(".quote-card .price", text: price, exact_text: true)
    shown = find(".quote-card .price").text[/[\d.]+/]
    click_button "Save as quote"
    expect(page).to have_css(".quote-list li", text: "open")
    quote = user.quotes.sole
    expect(quote.figures["total"]).to eq(shown)
    expect(RateCard.sole.rates["weights"]["new"]).to eq("1")

    click_link quote.number
    expect(page).to have_css(".letter .total", text: shown)
    find("[aria-label^='Language of the quote']").click
    click_button "Italiano"
    expect(page).to have_css(".letter[lang=it] .total", text: "Totale")
    expect(page).to have_css(".letter .total", text: shown.tr(".", ","))
    find("[aria-label^='Language of the quote']").click
    click_button "English"
    expect(page).to have_css(".letter[lang=en] .total", text: shown)
    click_link "XLSX"
    path = File.join(Browsing::DOWNLOADS, "Quote #{quote.number} Tarnholt Cargo Cycles.xlsx")
    eventually { expect(File.exist?(path)).to be(true) }
    FileUtils.cp(path, folder)
    cells = computed(File.join(folder, File.basename(path)))
    sums = cells.to_h { |line| [line.first, line] }
    expect(BigDecimal(sums["All"][4])).to eq(BigDecimal(quote.figures["weighted_words"]))
    { "Net" => "net", "Rush fee" => "rush", "Total" => "total" }.each do |name, figure|
      expect(BigDecimal(sums[name].last)).to eq(BigDecimal(quote.figures[figure]))
    end

    visit "/projects/#{quote.project_id}/count"
    find("[aria-label^='State of #{quote.number}']").click
    click_button "accepted"
    expect(page).to have_css("[aria-label='State of #{quote.number}: accepted']")
  end

  it "counts files dropped for a moment, says what is wrong with one, and makes a project of them" do
    damaged = File.join(folder, "broken.docx").tap { |path| File.binwrite(path, "PK\x03\x04 no more") }
    sign_in(user, to: "/")
    expect(page).to have_css("h1", text: "No projects yet")
    click_link "Quick count"
    find("input[type=file]", visible: :all).set([files.first, damaged])
    expect(page).to have_css(".quick-files .alarm", text: "broken.docx is damaged")
    click_button "Count"
    expect(page).to have_css(".report-head h1", text: "weighted words")
    expect(Report.kept).to be_empty
    click_button "Save count"
    fill_in "Count name", with: "For Femke"
    find(".keep-as button").click
    expect(page).to have_css(".report-head", text: "saved")
    visit "/count"
    expect(page).to have_css(".counts-kept", text: "For Femke")
    click_link "For Femke"
    click_button "Create project"
    expect(page).to have_css(".files .name", text: "manual.txt")
  end

  it "begins a project from a template with a drop and one press" do
    project = make_project(user)
    project.update!(subject: "Bicycles")
    project.save_as_template("Tarnholt manuals")
    sign_in(user)
    click_button "New from “Tarnholt manuals”"
    expect(page).to have_css("[aria-label='Subject field: Bicycles']")
    all("input[type=file]", visible: :all).first.set(files.first)
    expect(page).to have_css(".files .name", text: "manual.txt")
    click_button "Create project"
    expect(page).to have_css(".card .source", text: "Check the straps again.")
  end

  it "leaves the rush fee of a client to the quote, and proposes it where the due date asks for it" do
    client = user.clients.create!(name: "Tarnholt Cargo Cycles")
    user.rate_cards.create!(client: client, source_lang: "en-GB", target_lang: "it-IT",
      rates: { "currency" => "EUR", "rate" => "0.10", "rush" => "0.4" })
    project = make_project(user, "Load at most 60 kg. #{"Check the straps again and again. " * 900}",
      name: "a.txt")
    project.update!(client: client, due_at: 5.days.from_now)
    Operations::ProjectCount.perform_now(project, by: user)
    sign_in(user, to: "/projects/#{project.id}/count")
    price = find(".quote-card .price").text
    expect(page).to have_no_css(".proposed-rush")
    expect(find(".quote-card")).to have_css("[aria-label^='Rush fee: none']")
    project.update!(due_at: 2.minutes.from_now)
    visit current_path
    click_button "Add rush fee of 40 %"
    expect(page).to have_no_css(".quote-card .price", exact_text: price)
    expect(page).to have_no_css(".proposed-rush")
  end
end

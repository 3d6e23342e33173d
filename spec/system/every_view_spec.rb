# What holds for every view: nothing for axe to find in either theme, and all of it to be used at 400 %, which
# is a window of 320 × 256.
RSpec.describe "Every view" do
  let(:user) { make_user }
  let(:project) { make_project(user) }
  let(:memory) { make_memory(user, { "Check the brakes." => "Controllare i freni." }) }

  let(:termbase) do
    user.termbases.create!(name: "Tarnholt, terms").tap do |made|
      made.add_pair({ "en" => "brake", "it" => "freno" }, by: user)
      project.attach_termbases([{ termbase_id: made.id }])
    end
  end
  let(:client) { user.clients.create!(name: "Pell & Rook Ceramics", people: [{ name: "Oriel Pell" }]) }
  let(:report) do
    Report.open_for(project, memories: [], made: "hand").tap { |made| count_now(made) }
  end
  let(:quote) { Quote.keep(report.reload, rates: { "currency" => "EUR", "rate" => "0.1" }, shown: "2.80") }

  let(:alignment) do
    made = user.alignments.new(name: "Course page", source_lang: "en-GB", target_lang: "it-IT")
    { source_file: "course-en.html", target_file: "course-it.html" }.each do |slot, name|
      made.public_send(slot).attach(io: Rails.root.join("demo/texts", name).open, filename: name,
        identify: false)
    end
    made.save!
    Operations::Alignment.perform_now(made, by: user)
    made
  end

  def views
    {
      "/" => ".today h1",
      "/clients" => "main h1",
      "/clients/#{client.id}" => ".client .columns",
      "/count" => ".quick h1",
      "/projects/#{project.id}/count" => ".quote-card",
      "/counts/#{report.id}" => ".quote-card",
      "/quotes/#{quote.id}" => ".letter .total",
      "/termbases" => "main h1",
      "/termbases/#{termbase.id}" => ".entry",
      "/memories" => "main h1",
      "/memories/#{memory.id}" => ".units",
      "/align" => ".align-list li",
      "/align/#{alignment.id}" => ".bead",
      "/projects/#{project.id}/review" => ".passage",
      "/projects/#{project.id}/brief" => ".brief .files",
      "/projects/#{project.id}/translate" => ".card",
      "/projects/#{project.id}/deliver" => "main h1",
      "/projects/#{project.id}/rules" => "main h1",
      "/projects/#{project.id}/check" => ".findings li",
      "/projects/#{project.id}/questions" => ".question-list",
      "/guide/translate" => "article h2",
      "/settings/keys" => ".key-line",
      "/settings/machine" => "main h1",
      "/settings/rules" => "main h1",
      "/settings/account" => "main h1",
      "/settings/trash" => "main h1"
    }
  end

  def window(width, height)
    page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: width, height: height,
      deviceScaleFactor: 1, mobile: false)
  end

  before do
    quote
    Note.add(project.segments.first, "Which deck?", by: user, kind: "question")
    project.segments.order(:position).first.confirm("Il pianale posteriore.", by: user, origin: {})
    ReviewRound.begin_inside(project, by: user)
    sign_in(user)
  end

  # Names of texts, as they would show where one is missing.
  def names_shown(language)
    names = JSON.parse(Rails.root.join("frontend/shared/texts/#{language}.json").read).keys.join("|")
    page.text.scan(/\b(?:#{names})\.[a-z]+[A-Z]?\w*\b/)
  end

  { "light" => "en", "dark" => "it" }.each do |theme, language|
    it "is clean for axe, #{theme} and in #{language}, and shows no name of a text in place of it" do
      user.update!(preferences: { language: language })
      page.execute_script("localStorage.setItem('glossema.mode', '#{theme}')")
      found = views.to_h do |path, shown|
        visit path
        expect(page).to have_css(shown)
        expect(page).to have_css(":root[data-theme=#{theme}][lang=#{language}]", visible: :all)
        [path, faults + names_shown(language)]
      end
      expect(found.reject { |_, list| list.empty? }).to eq({})
    end
  end

  it "fits a window of 320 × 256, and is worked in there" do
    window(320, 256)
    found = views.to_h do |path, shown|
      visit path
      expect(page).to have_css(shown)
      [path, page.evaluate_script("document.documentElement.scrollWidth - window.innerWidth")]
    end
    expect(found.select { |_, over| over.positive? }).to eq({})

    visit "/projects/#{project.id}/translate"
    editor.click
    type("Piccolo")
    segment = nil
    eventually do
      segment = project.segments.find { |one| on_disk(one).target.include?("Piccolo") }
      expect(segment).to be_present
    end
    seen = page.evaluate_script(<<~JS)
      (() => {
        const at = document.querySelector('.card [role=textbox]').getBoundingClientRect()
        return at.top >= 0 && at.top < window.innerHeight - 20
      })()
    JS
    expect(seen).to be(true)
    press(:control, :enter)
    eventually { expect(on_disk(segment).state).to eq("translated") }
  ensure
    page.driver.browser.execute_cdp("Emulation.clearDeviceMetricsOverride")
  end
end

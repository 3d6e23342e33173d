# The main path as a user goes it: from a dropped file to the delivered one.
RSpec.describe "The first job" do
  let(:user) { make_user }
  let(:bytes) do
    manual_docx(
      [
        ["p", "The rear deck carries up to ", ["<w:b/>", "80 kg"], ", including the child seat."],
        ["p", "Check the straps again."],
        ["p", "Ask your dealer before you carry long goods."],
        ["p", "Check the straps again."]
      ]
    )
  end
  let(:file) { File.join(Dir.mktmpdir, "owners-manual.docx").tap { |path| File.binwrite(path, bytes) } }

  before do
    memory =
      make_memory(
        user,
        {
          "Ask your dealer before you carry heavy goods." =>
            "Rivolgersi al rivenditore prima di trasportare merci pesanti."
        }
      )
    user.clients.create!(name: "Tarnholt Cargo Cycles", code: "TRN")
    @memory = memory
  end

  it "goes from a dropped DOCX to a delivered one, by keyboard" do
    sign_in(user)
    expect(faults).to eq([])
    find("input[type=file]", visible: :all).set(file)
    expect(page).to have_css(".files .name", text: "owners-manual.docx")
    expect(page).to have_css(".sum .figures", text: "words, including")
    find("[aria-label^='Target language:']").click
    type("italian, it")
    press(:enter)
    expect(page).to have_css("[aria-label='Target language: Italian, Italy']")
    find("[aria-label^='Client:']").click
    type("tarn")
    press(:enter)
    expect(page).to have_css("[aria-label='Client: Tarnholt Cargo Cycles']")
    find("[aria-label^='Add memory:']").click
    find(".ant-select-item-option", text: "Tarnholt, delivered").click
    expect(page).to have_css(".stock .name", text: "Tarnholt, delivered")
    expect(faults).to eq([])
    click_button "Create project"

    # A sentence with codes: typed, the pair wrapped around a selection by key.
    expect(card).to have_css(".source", text: "The rear deck carries up to")
    type("Il pianale posteriore porta fino a 80 kg")
    5.times { press(:shift, :arrow_left) }
    press(:alt, ".")
    press(:end)
    type(", seggiolino compreso.")
    expect(find(".sheet-page")).to have_css("b", text: "80 kg")
    press(:control, :enter)

    # The next is open; finishing it fills its repeat.
    expect(card).to have_css(".source", text: "Check the straps again.")
    type("Ricontrollare le cinghie.")
    press(:control, :enter)
    expect(page).to have_text("1 repetition filled in.")
    # At once: it would go away by itself.
    expect(page.text).not_to include("was changed elsewhere")

    # A fuzzy match with what differs marked, taken by key and changed.
    expect(card).to have_css(".source", text: "long goods")
    expect(card).to have_css(".proposals .score b", text: /\A8\d\z/)
    expect(card).to have_css(".compare del", text: "heavy")
    expect(card).to have_css(".compare ins", text: "long")
    press(:alt, :enter)
    expect(editor).to have_text("merci pesanti")
    8.times { press(:backspace) }
    type("lunghe.")
    expect(editor).to have_text("Rivolgersi al rivenditore prima di trasportare merci lunghe.")
    card.find(".foot", text: "edited")
    press(:control, :enter)

    # The repeat waits as a draft, marked, and is confirmed in passing.
    expect(card).to have_css(".foot", text: "repetition")
    expect(editor).to have_text("Ricontrollare le cinghie.")
    expect(faults).to eq([])
    press(:control, :enter)
    expect(page).to have_css("[role=status]", text: "All segments are confirmed")
    expect(page).to have_css(".top .amount", text: /(\d+) of \1 words/)

    click_link "Deliver"
    expect(page).to have_text("All segments are translated.")
    expect(faults).to eq([])
    click_button "Deliver files"
    expect(page).to have_text("Proof: 4 segments, 1 codes, all in place")
    expect(page).to have_css("b", text: "owners-manual_it-IT.docx")
    click_link "Download"
    path = File.join(Browsing::DOWNLOADS, "owners-manual_it-IT.docx")
    eventually { expect(File.exist?(path)).to be(true) }
    body = parts_of(File.binread(path))["word/document.xml"]
    expect(body.scan("<w:p>").size).to eq(4)
    expect(body).to include("<w:b/>", "Ricontrollare le cinghie.", "seggiolino compreso.")
    expect(
      Glossema::Document
        .new(File.binread(path), name: "back.docx", language: "it")
        .segments
        .map { |segment| segment.content.written }
    ).to match(
      [
        "Il pianale posteriore porta fino a {1}80 kg{/1}, seggiolino compreso.",
        "Ricontrollare le cinghie.",
        "Rivolgersi al rivenditore prima di trasportare merci lunghe.",
        "Ricontrollare le cinghie."
      ]
    )
    expect(user.memories.find_by!(name: Project.last.reference).units.count).to eq(3)

    click_link "Glossema"
    expect(page).to have_css(".agenda", text: "Delivered")
  end

  it "says what it cannot take, and lets the rest go on" do
    sign_in(user)
    locked = File.join(Dir.mktmpdir, "warranty.docx")
    File.binwrite(locked, "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".b + "E\0n\0c\0r\0y\0p\0t\0e\0d\0".b)
    find("input[type=file]", visible: :all).set([file, locked])
    expect(page).to have_css(
      ".alarm",
      text: "Not imported: warranty.docx is protected with a password. Ask for a copy without one."
    )
    expect(page).to have_text("2 files, 1 to translate")
    click_button "Create project"
    expect(page).to have_text("The project was not created. Choose the target language.")
  end
end

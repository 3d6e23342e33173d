# Subtitles with a real film in a real browser: seek, the subtitle in step, typing while it plays, a cue again
# and again, meters, lines broken by key.
require Rails.root.join("demo/film").to_s

RSpec.describe "Subtitles" do
  film = nil
  before(:context) { film = Demo::Film.write(File.join(Dir.mktmpdir, "film.webm"), seconds: 20) }

  let(:user) { make_user }
  let(:project) { make_project(user, cues, name: "film.srt") }
  let(:document) { project.documents.first }
  let(:cues) do
    "1\n00:00:01,000 --> 00:00:03,000\nBefore you load, put the bicycle on its stand.\n\n" \
      "2\n00:00:03,200 --> 00:00:04,000\nHeavy things go low,\n\n" \
      "3\n00:00:04,100 --> 00:00:07,000\nnever on the front rack.\n\n" \
      "4\n00:00:10,000 --> 00:00:13,000\nTighten every strap.\n"
  end

  def time = page.evaluate_script("document.querySelector('video').currentTime")
  def playing? = page.evaluate_script("!document.querySelector('video').paused")

  def open_cue(words)
    find(".pair, .card", text: words).click
    expect(page).to have_css(".card", text: words)
  end

  before do
    document.film.attach(io: File.open(film), filename: "film.webm", content_type: "video/webm")
    sign_in(user, to: "/projects/#{project.id}/translate")
    expect(page).to have_css("video")
    eventually { expect(page.evaluate_script("document.querySelector('video').readyState")).to be >= 2 }
  end

  it "go to the open cue, show the last keystroke, and open the cue that is shown" do
    expect(faults).to eq([])
    open_cue("never on the front rack")
    eventually { expect(time).to be_within(0.05).of(4.1) }
    expect(page).to have_css(".card .cue-sentence",
      text: "The sentence starts in cue 2: Heavy things go low,")
    type("mai davanti")
    expect(page).to have_css(".film .subtitle", text: "mai davanti")
    # The sound under the cues: loud where somebody speaks.
    expect(page).to have_css(".cues-line.sounding canvas")
    expect(faults).to eq([])
    find(".cues-line button", text: "4").click
    expect(page).to have_css(".card", text: "Tighten every strap")
    eventually { expect(time).to be_within(0.05).of(10) }
  end

  it "play by key while she types, and a cue again and again" do
    open_cue("Heavy things go low")
    press(:alt, "v")
    eventually { expect(playing?).to be(true) }
    type("Le cose pesanti in basso,")
    expect(page).to have_css(".card .ProseMirror", text: "Le cose pesanti in basso,")
    eventually { expect(time).to be > 4.5 }
    press(:alt, "v")
    eventually { expect(playing?).to be(false) }
    press(:alt, :shift, "a")
    eventually { expect(playing?).to be(true) }
    seen = Array.new(12) { sleep(0.2) && time }
    expect(seen).to all(be_between(3.15, 4.2))
    expect(seen.each_cons(2).count { |one, other| other < one }).to be >= 1
    press(:alt, :shift, "a")
    eventually { expect(playing?).to be(false) }
    at = time
    press(:alt, ",")
    eventually { expect(time).to be_within(0.06).of(at - 0.5) }
  end

  it "are measured while they are written, and broken by key" do
    open_cue("Before you load")
    expect(page).to have_css(".meter[aria-label='per second']", text: "0 of 17")
    type("Prima di caricare, mettere la bici sul cavalletto.")
    expect(page).to have_css(".meter.over[aria-label='per second']", text: "25 of 17")
    expect(page).to have_css(".meter.over[aria-label='line 1']", text: "50 of 42")
    expect(page).to have_text("16 characters too many for the time")
    press(:alt, "b")
    expect(page).to have_css(".meter[aria-label='line 2']", text: "31 of 42")
    expect(page).to have_no_css(".meter.over[aria-label='line 1']")
    press(:alt, :shift, "b")
    expect(page).to have_text("Position 2 of")
    press(:control, :enter)
    expect(page).to have_css(".card", text: "Heavy things go low")
    target = nil
    eventually do
      target = Segment.uncached { Segment.find(document.segments.first.id).target }
      expect(target.lines.size).to eq(2)
    end
    expect(target).not_to eq("Prima di caricare,\nmettere la bici sul cavalletto.")
    expect(target.tr("\n", " ")).to eq("Prima di caricare, mettere la bici sul cavalletto.")
    expect(page).to have_css(".column-head", text: "1 cue over a limit")
  end

  it "are timed: typed where the time stands, set where the film is, split, and taken back" do
    open_cue("Tighten every strap")
    find(".cue-times .in-place", text: "00:00:13.000").click
    press(:control, "a")
    type("00:00:12.010")
    press(:enter)
    expect(page).to have_css(".card .cue-times", text: "00:00:12.000 ")
    press(:alt, :shift, ".")
    press(:alt, :shift, ".")
    find(".card .ProseMirror").click
    press(:alt, "[")
    expect(page).to have_css(".card .cue-times", text: "00:00:10.080")
    expect(page).to have_css(".card", text: "Tighten every strap")
    expect(faults).to eq([])
    expect(document.reload.options["retimed"].size).to eq(2)
  end

  # The first of its cues is shown for 0.8 s, the other for 2.9 s.
  it "take a sentence as one, divided over its cues, and give it back in one step" do
    open_cue("never on the front rack")
    type("Le cose pesanti in basso, mai sul portapacchi anteriore.")
    press(:alt, "u")
    expect(page).to have_css(".card .ProseMirror", text: /\Ain basso, mai sul portapacchi anteriore\.\z/)
    expect(page).to have_css(".pair .target", text: "Le cose pesanti")
    press(:alt, "z")
    expect(page).to have_no_css(".pair .target")
    expect(page).to have_css(".card .ProseMirror",
      text: "Le cose pesanti in basso, mai sul portapacchi anteriore.")
    press(:alt, :shift, "z")
    expect(page).to have_css(".pair .target", text: "Le cose pesanti")
  end

  it "work without a film, which is given later" do
    document.film.purge
    visit "/projects/#{project.id}/translate"
    open_cue("Tighten every strap")
    expect(page).to have_css(".meter")
    find(".film .drop input", visible: :all).set(film)
    expect(page).to have_css("video")
    expect(faults).to eq([])
  end
end

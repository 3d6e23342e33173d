# Translate: codes that typing cannot break, keys, the palette, long texts.
RSpec.describe "Translate" do
  let(:user) { make_user }

  def open_project(project)
    sign_in(user, to: "/projects/#{project.id}/translate")
    expect(page).to have_css(".card")
  end

  it "puts codes in by key, keeps them whole, and undoes and redoes" do
    project = make_project(user)
    open_project(project)
    type("Fino a ")
    press(:alt, ".")
    type("80 kg")
    press(:alt, ".")
    expect(editor).to have_css(".token", count: 2)
    eventually { expect(project.segments.first.target).to eq("Fino a {1}80 kg{/1}") }
    press(:control, "z")
    expect(editor).to have_css(".token", count: 1)
    press(:control, :shift, "z")
    expect(editor).to have_css(".token", count: 2)
    press(:backspace)
    eventually { expect(project.segments.first.reload.target).to eq("Fino a {1}80 kg") }
    expect(card).to have_css(".foot", text: "Codes to insert")
    press(:control, :enter)
    expect(page).to have_css(".said", text: "Segment 1 is saved with a warning: Missing codes: {/1}.")
  end

  it "goes where she wants by key and palette, marks, filters and folds" do
    project = make_project(user)
    open_project(project)
    press(:alt, :page_down)
    expect(card).to have_css(".gutter", text: "2")
    press(:alt, "m")
    expect(card).to have_css(".foot", text: "bookmarked")
    press(:escape)
    expect(page).to have_no_css(".card")
    press(:control, "k")
    type("next unfin")
    press(:enter)
    expect(page).to have_css(".card")
    click_button "Segments shown: all segments"
    click_button "bookmarked segments"
    expect(page).to have_css(".pair, .card", count: 1)
    press(:alt, "p")
    expect(page).to have_no_css(".companion")
    eventually { expect(project.segments.find_by(position: 2).marked).to be(true) }
  end

  it "keeps the focus in the text, whatever was asked for in an earlier segment, and on Tab" do
    project = make_project(user)
    open_project(project)
    press(:alt, "w")
    expect(page).to have_css(".new-note textarea:focus")
    press(:alt, :page_down)
    expect(card).to have_css(".gutter", text: "2")
    expect(page).to have_css(".card [role=textbox]:focus")
    type("Uno")
    press(:tab)
    type(" due")
    press(:alt, "h")
    expect(page).to have_css(".past-version:focus")
    press(:alt, :page_up)
    expect(page).to have_css(".card [role=textbox]:focus")
    type("Tre")
    segments = project.segments.order(:position)
    eventually { expect(segments.reload.first(2).map(&:target)).to eq(["Tre", "Uno due"]) }
    expect(project.notes.count).to eq(0)
  end

  it "opens and goes through 5,000 segments without waiting" do
    rows = Array.new(5000) { |n| "Sentence number #{n} says something of its own about part #{n * 7}." }
    project = make_project(user, rows.join("\n"), name: "long.txt")
    open_project(project)
    expect(page).to have_css(".column-head", text: "5,000 segments")
    expect(page.all(".row").size).to be < 80
    find(".strip canvas").click
    expect(page).to have_css(".card .gutter", text: /\A\d{3,4}/)
    number = card.find(".gutter").text.to_i
    type("Una frase.")
    press(:control, :enter)
    expect(card).to have_css(".gutter", text: (number + 1).to_s)
    # The frame in which the key is handled is the frame in which the next segment can be typed in.
    lag = page.evaluate_async_script(<<~JS)
      const done = arguments[0]
      const before = document.querySelector('.card .gutter').textContent
      window.dispatchEvent(new KeyboardEvent('keydown', { code: 'PageDown', key: 'PageDown', altKey: true }))
      let frames = 0
      const moved = () => document.querySelector('.card .gutter')?.textContent !== before
      const look = () => {
        frames += 1
        if (moved() || frames > 30) done(frames)
        else requestAnimationFrame(look)
      }
      requestAnimationFrame(look)
    JS
    expect(lag).to be <= 3
  end
end

# Text from right to left and in East Asian scripts, beside an interface from left to right.
RSpec.describe "Other scripts" do
  let(:user) { make_user }

  def open_in(target, text)
    project = make_project(user, text, name: "a.txt")
    project.update!(target_lang: target)
    sign_in(user, to: "/projects/#{project.id}/translate")
    expect(page).to have_css(".card")
    project.segments.first
  end

  it "writes Arabic from the right, numbers and codes in place" do
    segment = open_in("ar-EG", "Check the 2 brakes.")
    type("افحص المكابح الـ 2.")
    expect(editor).to have_text("افحص المكابح الـ 2.")
    expect(editor[:dir]).to eq("rtl")
    expect(find(".card .source")[:dir]).to eq("ltr")
    caret =
      page.evaluate_script(
        "(() => { const range = getSelection().getRangeAt(0); return range.getBoundingClientRect().x || " \
          "range.startContainer.parentElement.getBoundingClientRect().x })()"
      )
    expect(caret).to be > 200
    press(:control, :enter)
    expect(page).to have_css("[role=status]", text: "All segments are confirmed")
    eventually do
      expect(on_disk(segment)).to have_attributes(target: "افحص المكابح الـ 2.", state: "translated")
    end
    expect(faults).to eq([])
  end

  it "writes Japanese, and counts each character of it as one" do
    segment = open_in("ja-JP", "Check the brakes.")
    type("ブレーキを確認してください。")
    expect(card).to have_css(".foot", text: "14 characters, source 17")
    eventually { expect(on_disk(segment).target).to eq("ブレーキを確認してください。") }
    expect(Glossema::Counting::Count.count(Glossema::Content.text("ブレーキを確認してください。")).words).to eq(13)
  end
end

# Memories and projects on other servers, in the browser: attached, asked while she types, slow, dead and
# garbled; a client’s project opened, delivered straight there, taken back.
RSpec.describe "Other servers", :stand_in do
  let(:user) { make_user }
  let(:address) { WithStandIn.public_memory }
  let(:sentences) do
    ["Always wear a helmet.", "Check the brakes now.", "Ask your dealer.", "Do not open the battery."]
  end

  def tell(server, path, what) = Net::HTTP.post(URI("#{server}/#{path}"), what.to_json)

  # Answers are forgotten, so that it is asked again.
  def anew(how)
    tell(address, "behaviour", how)
    RemoteSource::Desk.settle
    RemoteSource::Desk.clear
    HttpClient.broken.clear
    RemoteAnswer.delete_all
  end

  def open_segment(words) = find(".pair, .card", text: words).click

  it "are attached by address and key, and give matches with their name while she types" do
    stub_const("RemoteSource::WHILE_TYPING", 1)
    sign_in(user)
    click_link "Memories"
    click_button "Connect a memory on another server"
    fill_in "Server address", with: address
    fill_in "Access key (if required)", with: "wrong"
    click_button "Connect"
    expect(page).to have_text("127.0.0.1 does not accept the access key.")
    fill_in "Access key (if required)", with: WithStandIn::KEY
    click_button "Connect"
    expect(page).to have_css(".held-there li", text: "English → Italian · 55 units · can view")
    expect(faults).to eq([])
    click_button "Connect: Open sentences, English and Italian"
    click_link "Open sentences, English and Italian"
    fill_in "Search on the server", with: "helmet"
    expect(page).to have_css(".hits li", text: "Indossare sempre il casco.")
    expect(faults).to eq([])

    memory = user.memories.first
    project = make_project(user, sentences.map { |one| "<p>#{one}</p>" }.join, name: "a.html",
      memories: [{ "memory_id" => memory.id, "penalty" => 2, "read_only" => true }])
    anew({})
    visit "/projects/#{project.id}/translate"
    open_segment("Always wear a helmet")
    expect(page).to have_css(".card .proposals li", text: "Open sentences, English and Italian")
    expect(page).to have_css(".card .proposals li", text: "97")
    press(:control, :shift, "1")
    eventually { expect(written).to eq("Indossare sempre il casco.") }

    { { slow: 4 } => "no response within 1 s", { fail: 503 } => "status 503",
      { garble: "html" } => "Its response was not valid" }.each_with_index do |(how, why), index|
      anew(how)
      open_segment(sentences[index + 1])
      type("Scritto #{index}")
      expect(written).to eq("Scritto #{index}")
      expect(page).to have_css(".card .quietly", text: why)
      expect(faults).to eq([]) if index.zero?
    end
    eventually { expect(project.segments.order(:position).pluck(:target).last).to eq("Scritto 2") }
    anew({})
    find(".tablist, .companion", match: :first).click_button("Search")
    fill_in "Search text", with: "battery"
    expect(page).to have_css(".hits li", text: "Non aprire la batteria.")
  end

  it "reach hers by a key that is shown once and can be withdrawn" do
    memory = make_memory(user, [["Load the box.", "Caricare la cassa."]], name: "Bicycles")
    sign_in(user, to: "/memories/#{memory.id}")
    click_button "Create access key"
    fill_in "Name of the person or server", with: "Anneke’s office"
    expect(faults).to eq([])
    network(offline: true)
    click_button "Create key"
    expect(page).to have_css(".ant-message-error")
    expect(page).to have_field("Name of the person or server", with: "Anneke’s office")
    network(offline: false)
    click_button "Create key"
    key = find(".made-key code", match: :first).text
    server = find_all(".made-key code").last.text
    speaker = RemoteSource::Speaker.new(server, key)
    expect(speaker.describe.items.map(&:name)).to eq(["Bicycles"])
    found = speaker.matches(memory.id, %w[en-GB it-IT], [{ "source" => "Load the box now." }])
    expect(found[0][0]).to include("target" => "Caricare la cassa.")
    visit "/memories/#{memory.id}"
    expect(page).to have_css(".remote-keys li", text: "Anneke’s office")
    expect(page).to have_no_text(key)
    click_button "Revoke key: Anneke’s office"
    expect(page).to have_no_css(".remote-keys li")
    expect { speaker.describe }.to raise_error(Glossema::Refused, /does not accept the access key/)
  end

  it "offer projects, which are opened, delivered straight there with a receipt, and taken back" do
    server = WithStandIn.agency
    client = user.clients.create!(name: "Harbour Lane")
    sign_in(user, to: "/clients/#{client.id}")
    click_button "Add server with projects"
    fill_in "Server address", with: server
    fill_in "Access key", with: WithStandIn::KEY
    click_button "Add server"
    expect(page).to have_css(".servers", text: "Harbour Lane Translations")
    expect(faults).to eq([])
    click_link "Today"
    expect(page).to have_css(".offers-there li", text: "Boarding with bicycles")
    expect(faults).to eq([])
    click_button "Open project: Boarding with bicycles"
    expect(page).to have_text("Deliveries are sent there directly")
    expect(page).to have_css(".stock li", text: "on Harbour Lane Translations")
    click_button "Create project"
    expect(page).to have_css(".card .term-pairs, .pair")
    open_segment("Be at the quay")
    expect(page).to have_css(".card .term-pairs", text: "molo")
    expect(page).to have_css(".card .proposals", text: "Presentarsi al molo 30 minuti")
    press(:control, :shift, "1")
    press(:control, :enter)
    click_link "Deliver"
    tell(server, "behaviour", fail: 503)
    click_button "Deliver anyway"
    expect(page).to have_text("Sending to the client’s server … No response from 127.0.0.1")
    tell(server, "behaviour", {})
    click_button "Send again"
    expect(page).to have_text("receipt HL-0001, 2 files")
    delivered = JSON.parse(Net::HTTP.get(URI("#{server}/delivered")))
    expect(delivered.map { |one| one["times"] }).to eq([1])
    tell(server, "withdraw", project: "hl-310", reason: "The line is closed.")
    AskServerJob.perform_now
    visit page.current_path
    expect(page).to have_css(".taken-back", text: "The line is closed.")
    expect(faults).to eq([])
  end
end

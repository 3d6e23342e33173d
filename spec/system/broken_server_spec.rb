# What was typed survives a server that crashes and a disk that is full: on Glossema as a user starts it.
require "support/own_server"

RSpec.describe "Nothing typed is lost by a server that breaks" do
  let(:server) { OwnServer.new }

  before { server.start }
  after { server.clear }

  def sign_up
    visit OwnServer::SITE
    click_button "New here? Create an account."
    fill_in "Your name", with: "Ines Calloway"
    fill_in "Email", with: "ines@calloway.example"
    fill_in "Password", with: "cargo-bicycle"
    click_button "Create account"
    expect(page).to have_css(".today h1")
  end

  def begin_project
    path = File.join(Dir.mktmpdir, "leaflet.txt")
    File.write(path, "Check the brakes before you ride.\nLoad the box from the front.\nRide slowly.\n")
    find("input[type=file]", visible: :all).set(path)
    find("[aria-label^='Target language:']").click
    type("italian, it")
    press(:enter)
    expect(page).to have_css("[aria-label='Target language: Italian, Italy']")
    # The process that reads files is started together with the server.
    click_button "Create project", wait: 60
    expect(card).to have_css(".source", text: "Check the brakes")
  end

  # The code behind the second half: disk-full.
  it "waits in the browser while the server is down or its disk is full, and goes in when it can" do
    sign_up
    begin_project
    type("Controllare i freni")
    eventually { expect(server.on_disk(0)).to eq(["Controllare i freni", "draft"]) }

    server.kill
    type(" prima di partire.")
    expect(page).to have_css("[role=status]", text: "The server is not responding. 1 text is saved")
    press(:control, :enter)
    expect(card).to have_css(".source", text: "Load the box")
    type("Caricare il cassone")
    server.start
    eventually(60) do
      expect(server.on_disk(0)).to eq(["Controllare i freni prima di partire.", "translated"])
      expect(server.on_disk(1)).to eq(["Caricare il cassone", "draft"])
    end
    expect(page).to have_no_css(".waiting-line")

    server.full do
      type(" dal davanti, con calma")
      expect(page).to have_css("[role=status]", text: "The server’s disk is full. 1 text is saved")
      expect(server.on_disk(1).first).to eq("Caricare il cassone")
    end
    eventually(30) { expect(server.on_disk(1).first).to eq("Caricare il cassone dal davanti, con calma") }
    expect(page).to have_no_css(".waiting-line")
  end
end

# From signing in to the delivered file by keyboard alone: everything is reached by Tab or by its key, and
# told by the role and name that a screen reader says, in each language of the interface.
RSpec.describe "The whole path by keyboard" do
  let(:user) { make_user }
  let(:file) do
    File.join(Dir.mktmpdir, "brakes.txt").tap { |path|
      File.write(path, "Check the brakes.\nIt weighs 12 kg.\n")
    }
  end

  # A text of the interface by its key: "brief.begin".
  define_method(:text) do |key|
    @texts ||= JSON.parse(Rails.root.join("frontend/shared/texts/#{@language}.json").read)
    @texts.dig(*key.split("."))
  end

  def focused = page.driver.browser.switch_to.active_element

  # Goes on by Tab until a screen reader says this role and a name that begins so.
  def tab_to(role, name, most: 90)
    said = []
    most.times do
      press(:tab)
      element = focused
      said << element.accessible_name
      return element if said.last.start_with?(name) && element.aria_role == role
    end
    raise "No #{role} “#{name}” is reached by Tab, only: #{said.uniq.join(" | ")}"
  end

  def enter(role, name)
    tab_to(role, name)
    press(:enter)
  end

  # What the browser says of its language; the one of all specs.
  def asks_in(language)
    headers = language ? { "Accept-Language" => language } : {}
    page.driver.browser.execute_cdp("Network.enable")
    page.driver.browser.execute_cdp("Network.setExtraHTTPHeaders", headers: headers)
  end

  after { asks_in(nil) }

  def shown(text) = expect(page).to(have_text(text))

  Rails.configuration.x.interface_languages.each do |language|
    it "leads from the sign-in to the delivered file in #{language}" do
      @language = language
      user.update!(preferences: { language: language })
      make_memory(user, { "Check the brakes." => "Controllare i freni." }, name: "Life")
      asks_in(language)
      visit "/"
      tab_to("textbox", text("sign.email"))
      type(user.email)
      tab_to("textbox", text("sign.password"))
      type("cargo-bicycle")
      press(:enter)

      shown(text("today.dropFirst"))
      until focused.tag_name == "input" && focused["type"] == "file"
        press(:tab)
      end
      expect(focused.accessible_name).to include(text("today.dropFirst"), text("today.choose"))
      focused.send_keys(file)

      shown(text("brief.begin"))
      expect(page).to have_css(".files .figure", text: "7")
      enter("button", "#{text("brief.into")}:")
      type("it-it")
      press(:enter)
      expect(page).to have_css("[aria-label^='#{text("brief.into")}: Ital' i]")
      enter("button", text("brief.begin"))

      expect(page).to have_css(".card")
      eventually {
        expect(focused.accessible_name).to start_with(text("translate.target").sub("{{number}}", "1"))
      }
      expect(focused.aria_role).to eq("textbox")
      type("Controllare i freni.")
      press(:control, :enter)
      eventually {
        expect(focused.accessible_name).to start_with(text("translate.target").sub("{{number}}", "2"))
      }
      type("Pesa 13 kg.")
      press(:control, :enter)
      press(:escape)

      enter("link", text("stages.check"))
      shown("13")
      enter("link", text("stages.review"))
      shown(text("review.newTitle"))
      enter("link", text("stages.deliver"))
      shown(text("deliver.into").sub("{{language}}", language == "it" ? "italiano" : "Italian"))
      enter("button", text("deliver.makeAnyway"))
      tab_to("link", text("deliver.download"))
      press(:enter)
      path = File.join(Browsing::DOWNLOADS, "brakes_it-IT.txt")
      eventually { expect(File.exist?(path) && File.read(path)).to eq("Controllare i freni.\nPesa 13 kg.\n") }
    end
  end
end

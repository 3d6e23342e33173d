# By keyboard alone: focus goes into what opens, back to what opened it, and never to nowhere.
RSpec.describe "Keyboard" do
  let(:user) { make_user }
  let(:folder) { Dir.mktmpdir }

  def file(name, text) = File.join(folder, name).tap { |path| File.binwrite(path, text) }

  # What has focus, as its label or text.
  def focus
    page.evaluate_script(<<~JS)
      (() => {
        const at = document.activeElement
        if (!at || at === document.body) return 'nowhere'
        return at.getAttribute('aria-label') || at.textContent.trim() || at.tagName.toLowerCase()
      })()
    JS
  end

  def to(label)
    element = find("[aria-label^='#{label}']")
    page.execute_script("arguments[0].focus()", element)
    element
  end

  # Opens by Enter, expects focus inside, closes by Escape, expects focus back.
  def opens(label, inside)
    to(label)
    press(:enter)
    eventually { expect(focus).to match(inside) }
    press(:escape)
    eventually { expect(focus).to start_with(label) }
  end

  def palette(command)
    press(:control, "k")
    expect(page).to have_css(".ant-modal [role=combobox]")
    type(command)
    press(:enter)
    expect(page).to have_no_css(".ant-modal [role=combobox]")
  end

  def brief
    make_memory(user, { "Check the brakes." => "Controllare i freni." }, name: "First")
    sign_in(user)
    find("input[type=file]",
      visible: :all).set([file("one.txt",
        "Check the brakes before you ride. Ride slowly in the rain, and load the box from the front.\n")])
    expect(page).to have_css(".files .figure", text: /\d/)
    find("[aria-label^='Target language:']").click
    type("it-it")
    press(:enter)
    expect(page).to have_css("[aria-label='Target language: Italian, Italy']")
  end

  it "goes into what opens and back, all over a brief" do
    brief
    opens("Your menu", /Dark|Light/)
    opens("Name:", /\AName\z/)
    opens("Client:", /\AClient\z/)
    opens("Due:", /\ADue\z/)
    opens("one.txt: by sentence", /by sentence/)
    opens("Options: one.txt", /./)
    find("[aria-label^='Add memory:']").click
    find(".ant-select-item-option", text: "First").click
    expect(page).to have_css(".stock .name", text: "First")
    opens("First:", /learns when I deliver/)
    press(:control, "k")
    eventually { expect(focus).to eq("Search commands, projects, clients, memories and help") }
    press(:escape)
    eventually { expect(focus).to start_with("First:") }

    to("Remove: one.txt")
    press(:enter)
    expect(page).to have_no_css(".files .name")
    sleep 0.3
    expect(focus).not_to eq("nowhere")
  end

  it "reaches options and cutting of a file, and the lowest score, from the palette" do
    brief
    palette("one.txt: by paragraph")
    expect(page).to have_css(".files .small", text: "by paragraph")
    palette("Options: one.txt")
    expect(page).to have_css(".options")
    eventually { expect(page.evaluate_script("!!document.activeElement.closest('.options')")).to be(true) }
    press(:escape)
    expect(page).to have_no_css(".options")

    palette("Create project")
    expect(page).to have_css(".card")
    palette("minimum score of matches shown: 70")
    eventually { expect(user.reload.preferences["floor"]).to eq(70) }
    palette("segments shown: unf")
    expect(page).to have_css("[aria-label^='Segments shown: unfinished']")
    eventually { expect(focus).not_to eq("nowhere") }
  end

  it "takes a date as it is typed, and keeps it when the field is left" do
    brief
    year = Time.current.year + 1
    typed = { "3 Dec #{year}, 09:30" => [12, 3, 9, 30], "2/3/#{year} 8:05" => [3, 2, 8, 5] }
    typed.each do |text, parts|
      find("[aria-label^='Due:']").click
      field = find("input[aria-label=Due]")
      field.send_keys([:control, "a"], text)
      find("h1").click
      eventually do
        due = Project.last.due_at
        expect(due && [due.month, due.day, due.hour, due.min]).to eq(parts)
      end
      expect(page).to have_no_css("input[aria-label=Due]")
    end
  end
end

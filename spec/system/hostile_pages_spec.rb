# Documents that mean harm, previewed in a real browser: nothing of them runs, nothing is fetched from
# elsewhere, and nothing leaves its place on the page.
RSpec.describe "Hostile pages" do
  # What is looked at once all of a document is on the page.
  FOUND = <<~'JS'.freeze
    (() => {
      const sheet = document.querySelector('.sheet-page')
      const all = [...sheet.querySelectorAll('*')]
      const wrong = []
      const told = (one) => one.outerHTML.slice(0, 120)
      const forbidden =
        'script,iframe,object,embed,link,meta,base,form,frame,audio,video,input,textarea,select,style'
      for (const one of sheet.querySelectorAll(forbidden)) wrong.push('element ' + told(one))
      for (const one of all) {
        for (const { name, value } of one.attributes) {
          if (/^on/i.test(name)) wrong.push('handler ' + name)
          if (/^\s*(javascript|vbscript|data:text)/i.test(value.replace(/[\t\n]/g, '')))
            wrong.push('address ' + value)
        }
        if (['fixed', 'sticky'].includes(getComputedStyle(one).position)) wrong.push('placed ' + told(one))
      }
      if (window.hacked) wrong.push('a script ran')
      for (const { name } of performance.getEntriesByType('resource'))
        if (!name.startsWith(location.origin) && !/^(data|blob):/.test(name)) wrong.push('fetched ' + name)
      wrong.push(...(window.violations ?? []))
      return [...new Set(wrong)]
    })()
  JS

  let(:user) { make_user }

  # A project with a document for each, as reading left them.
  def project_of(files)
    project = user.projects.create!(source_lang: "en-GB", target_lang: "it-IT", name: "Harm")
    files.each_with_index do |(name, bytes), index|
      document = project.documents.new(name: name, position: index + 1, byte_size: bytes.bytesize,
        checksum: name)
      document.original.attach(io: StringIO.new(bytes), filename: name)
      document.save!
      read_now(document)
    end
    project.begin!(without_unread: true)
    project
  end

  it "are told, were there one" do
    project = project_of([["a.txt", "Read this."]])
    sign_in(user, to: "/projects/#{project.id}/translate")
    expect(page).to have_css(".sheet-page [data-segment]")
    expect(page.evaluate_script(FOUND)).to eq([])
    page.execute_script(<<~JS)
      document.querySelector('.sheet-page').insertAdjacentHTML('beforeend',
        '<iframe></iframe><a href="javascript:x">x</a><p style="position:fixed" onclick="x">x</p>')
      window.hacked = 1
    JS
    expect(page.evaluate_script(FOUND).map { |one| one[/\A\w+ \W?\w+/] })
      .to contain_exactly("element <iframe", "address javascript", "handler onclick", "placed <p", "a script")
  end

  { "Word" => :word, "slides" => :slides, "open text" => :open_text, "books" => :books,
    "Markdown" => :markdown }.each do |what, kind|
    it "leave the page alone: #{what}" do
      project = project_of(HostilePages.public_send(kind))
      documents = project.documents.reload.select(&:ready?).select { |one| one.segments.any? }
      expect(documents.size).to be >= 8
      sign_in(user)
      visit "/projects/#{project.id}/translate"
      page.execute_script(<<~JS)
        window.violations = []
        addEventListener('securitypolicyviolation', (event) =>
          window.violations.push('blocked ' + event.blockedURI))
      JS
      expect(page).to have_css(".sheet-page [data-segment]")
      found = documents.to_h { |document| [document.name, shown(document)] }
      expect(found.reject { |_, wrong| wrong.empty? }).to eq({})
    end
  end

  # Opens a segment of it, waits until its page is there, and answers what is wrong with it.
  def shown(document)
    html = document.page.download.force_encoding("UTF-8")
    id = document.segments.order(:position).find { |one| html.include?("data-segment=\"#{one.key}\"") }.id
    page.execute_script("location.hash = '##{id}'")
    expect(page).to have_css(".sheet-page [data-id='#{id}']", visible: :all)
    page.evaluate_script(FOUND)
  end
end

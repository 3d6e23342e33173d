# The modules of the browser that answer without the server, in a real browser: those that the core answers
# too are held to its cases; the keys and the outbox to their own.
RSpec.describe "Modules" do
  let(:user) { make_user }

  before do
    sign_in(user)
    path = ViteRuby.instance.manifest.path_for("specs", type: :typescript)
    page.evaluate_async_script("import(arguments[0]).then(arguments[1])", path)
    eventually { expect(page.evaluate_script("typeof window.glossema")).to eq("object") }
  end

  def cases(name) = JSON.parse(Rails.root.join("core/spec/cases/#{name}.json").read)

  # Runs a body in the browser; what it is given stands in `arguments[0]`.
  def ask(body, given) = page.evaluate_script("(function () { #{body} }).apply(null, arguments)", given)

  it "weigh codes as the core does" do
    list = cases("balance")
    answers = ask(<<~JS, list)
      return arguments[0].map(({ source, target }) =>
        [glossema.missingCodes(source, target), glossema.addedCodes(source, target)])
    JS
    expect(answers).to eq(list.map { |one| one.values_at("missing", "added") })
  end

  it "read and write the written form as the core does" do
    list = cases("written_form")
    answers = ask(<<~JS, list)
      return arguments[0].map((one) => {
        const parts = glossema.parts(one.written)
        return {
          written: parts.map(glossema.written).join(''),
          parts: parts.map((part) => ('text' in part ? part.text : [part.kind, part.id])),
          plain: glossema.plain(one.written),
        }
      })
    JS
    expect(answers).to eq(list)
  end

  it "leave out what no document can hold, as the core does" do
    list = cases("holdable")
    answers = ask("return arguments[0].map((one) => glossema.holdable(one.text))", list)
    expect(answers).to eq(list.map { |one| one["holdable"] })
  end

  it "know where a sentence begins and what is still to come as the core does" do
    list = cases("beginning")
    answers = ask("return arguments[0].map((one) => glossema.sentenceBegins(one.before))", list)
    expect(answers).to eq(list.map { |one| one["beginning"] })
    list = cases("still_to_come")
    answers = ask(<<~JS, list)
      return arguments[0].map(({ carried, target }) =>
        glossema.stillToCome(carried.map((text) => ({ target: text })), target).map((one) => one.target))
    JS
    expect(answers).to eq(list.map { |one| one["left"] })
  end

  it "measure cues as the core does" do
    list = cases("cue_meters")
    answers = ask(<<~JS, [list, Glossema::Timing::Limits.new.to_h])
      const [cases, limits] = arguments[0]
      const tenth = (value) => (value === null ? null : Math.round(value * 10) / 10)
      return cases.map((one) => {
        const { cps, wpm, lines, over } = glossema.metersOf(one.text, one, one.next, limits)
        return { cps: tenth(cps), wpm: tenth(wpm), lines, over }
      })
    JS
    expect(answers).to eq(list.map { |one| one.slice("cps", "wpm", "lines", "over") })
  end

  it "write times as they are read, and say how much is to lose" do
    given = [0, 0.04, 41.2, 59.999, 192, 3723.4, -1.5]
    answers = ask(
      "return arguments[0].map((one) => Object.values(glossema.clock).map((write) => write(one)))", given
    )
    expect(answers).to eq([
      ["00:00:00.000", "0:00.0", "0:00"], ["00:00:00.040", "0:00.0", "0:00"],
      ["00:00:41.200", "0:41.2", "0:41"], ["00:00:59.999", "0:59.9", "0:59"],
      ["00:03:12.000", "3:12.0", "3:12"], ["01:02:03.400", "1:02:03.4", "1:02:03"],
      ["−00:00:01.500", "−0:01.5", "−0:02"]
    ])
    left = ask(<<~JS, Glossema::Timing::Limits.new.to_h)
      const limits = arguments[0]
      return [[20, 20], [10], [34]].map((lines) => glossema.toLose({ lines, duration: 2 }, limits))
    JS
    expect(left).to eq([6, 0, 0])
  end

  it "take back as one act what was written as one, and each writing by itself" do
    told = ask(<<~JS, nil)
      const undoHistory = new glossema.UndoHistory()
      const at = (id, target) => ({ id, position: id, target, origin: {}, state: target ? 'draft' : 'untouched' })
      const write = (id, from, to) => undoHistory.note(at(id, from), at(id, to))
      write(1, '', 'a')
      write(1, 'a', 'ab')
      undoHistory.together(() => {
        write(1, 'ab', 'x')
        write(2, '', 'y')
      })
      write(3, '', 'z')
      const ids = (list) => list.map(({ id, before, after }) => [id, before.target, after.target])
      return [undoHistory.takeBack(), undoHistory.takeBack(), undoHistory.doAgain(), undoHistory.takeBack(), undoHistory.takeBack(),
        undoHistory.takeBack()].map(ids)
    JS
    one = [[2, "", "y"], [1, "ab", "x"]]
    expect(told).to eq([[[3, "", "z"]], one, one.reverse, one, [[1, "", "ab"]], []])
  end

  it "offer what may follow as the core does" do
    list = cases("completion")
    answers = ask(<<~JS, list)
      return arguments[0].map(({ context, offers }) => {
        const ahead = new glossema.Ahead(context)
        return offers.map(({ prefix }) => ahead.offers(prefix).map(({ text, kind }) => [text, kind]))
      })
    JS
    expect(answers).to eq(list.map { |one| one["offers"].pluck("texts") })
  end

  it "know which code may come next as the core does" do
    list = cases("next_code")
    answers = ask(<<~JS, list)
      return arguments[0].map(({ source, target }) => {
        const next = glossema.nextCode(source, target)
        return next && [glossema.written(next[0]), next[1]]
      })
    JS
    expect(answers).to eq(list.pluck("next"))
  end

  it "compute what a count costs as the core does" do
    list = cases("quote")
    sums = ask("return arguments[0].map(({ bands, rates }) => glossema.quoteOf(bands, rates))", list)
    expect(sums.map { |sum| sum.slice("weighted_words", "net", "rush", "total") }).to eq(
      list.map { |one| one.slice("weighted_words", "net", "rush", "total") }
    )
    lines = list.map do |one|
      Glossema::Counting::Quote.new(one["bands"], Glossema::Counting::Rates.new(one["rates"])).to_h["lines"]
    end
    shown = ->(rows) { rows.map { |row| row.merge("price" => BigDecimal(row["price"]).round(12).to_s("F")) } }
    expect(sums.map { |sum| shown[sum["lines"]] }).to eq(lines.map(&shown))
  end

  it "know when work is done as the core does" do
    given = cases("work_time")
    answers = ask(<<~JS, given)
      const { cases, ...working } = arguments[0]
      const local = (date) => new Date(date.getTime() - date.getTimezoneOffset() * 60000).toISOString().slice(0, 16)
      return cases.map((one) => {
        const done = glossema.doneAt(new Date(one.start), one.hours, working)
        return done && local(done)
      })
    JS
    expect(answers).to eq(given["cases"].map { |one| one["done"] })
  end

  it "know keys by the letter they write, and digits by their place" do
    pressed = {
      { "key" => "k", "code" => "KeyK", "ctrlKey" => true } => "palette",
      { "key" => "k", "code" => "KeyK", "metaKey" => true } => "palette",
      # A keyboard that has its letters elsewhere, and one that writes others.
      { "key" => "n", "code" => "KeyL", "altKey" => true } => "nextUnfinished",
      { "key" => "т", "code" => "KeyN", "altKey" => true } => "nextUnfinished",
      { "key" => "Enter", "code" => "NumpadEnter", "ctrlKey" => true } => "finish",
      { "key" => ")", "code" => "Digit0", "ctrlKey" => true, "shiftKey" => true } => "takeSource",
      { "key" => "k", "code" => "KeyK" } => nil,
      { "key" => "k", "code" => "KeyK", "ctrlKey" => true, "shiftKey" => true } => nil
    }
    answers = ask(<<~JS, pressed.keys)
      return arguments[0].map((init) => {
        const event = new KeyboardEvent('keydown', init)
        return Object.keys(glossema.KEYS).find((name) => glossema.matches(event, glossema.KEYS[name])) ?? null
      })
    JS
    expect(answers).to eq(pressed.values)
  end

  describe "the outbox" do
    let(:project) { make_project(user) }
    let(:segment) { project.segments.order(:position).first }

    def outbox(script)
      page.evaluate_async_script(<<~JS, user.id, project.id, segment.id)
        const [user, project, segment, done] = arguments
        const outbox = window.outbox ??= new glossema.Outbox(user)
        const draft = (target, more = {}) =>
          outbox.put({ segment, project, number: 1, target, origin: { kind: 'typed' }, base: 0, ...more })
        outbox.ready.then(async () => done(await (async () => { #{script} })()))
      JS
    end

    it "takes what it sent for its own, though the answer was lost, and for no other wording" do
      status = outbox(<<~JS)
        const real = window.fetch
        const wait = (time) => new Promise((then) => setTimeout(then, time))
        // The first is answered into nothing; then the server is not reached at all while more is typed.
        let asked = 0
        let reached = true
        window.fetch = async (path, options) => {
          if (options?.method !== 'PATCH') return real(path, options)
          asked += 1
          const answer = reached && (await real(path, options))
          if (!answer || asked === 1) throw new TypeError('lost')
          return answer
        }
        draft('Uno')
        await wait(900)
        reached = false
        for (let more = 0; more < 8; more += 1) {
          draft('Uno e' + '.'.repeat(more))
          outbox.flush()
          await wait(30)
        }
        reached = true
        draft('Uno e due')
        await wait(4000)
        window.fetch = real
        return outbox.snapshot()
      JS
      expect(status.slice("waiting", "troubled")).to eq("waiting" => 0, "troubled" => [])
      expect(on_disk(segment).target).to eq("Uno e due")
    end

    it "keeps a confirmation that still waits when the same text is put again" do
      outbox("draft('Uno', { confirm: true }); draft('Uno'); await outbox.emptied(); return null")
      expect(on_disk(segment)).to have_attributes(target: "Uno", state: "translated")
    end

    it "takes a confirmation back to a draft when another text follows it" do
      outbox("draft('Uno', { confirm: true }); draft('Due'); await outbox.emptied(); return null")
      expect(on_disk(segment)).to have_attributes(target: "Due", state: "draft")
    end

    it "holds what the server refuses, says why, and gives it up only to its owner" do
      status = outbox(<<~JS)
        outbox.put({ segment: 999999, project, number: 7, target: 'Nessun posto', origin: { kind: 'typed' } })
        await outbox.emptied()
        return outbox.snapshot()
      JS
      expect(status).to include("waiting" => 0, "blocked" => nil)
      expect(status["troubled"]).to contain_exactly(
        a_hash_including("target" => "Nessun posto", "trouble" => a_hash_including("kind" => "gone"))
      )
      expect(outbox("outbox.dismiss(999999); return outbox.snapshot().troubled")).to eq([])
    end
  end
end

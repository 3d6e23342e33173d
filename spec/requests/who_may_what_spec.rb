# Who may do what: every route of the application as its owner, as a colleague who may write or read, as a
# stranger, and signed out.
RSpec.describe "Who may what" do
  include EveryRoute

  let(:owner) { make_user }
  let(:all) { Everything.new(owner) }

  # What colleagues may do with a memory or termbase that was given to them: see it, change it, only with the
  # right to manage it, or only its owner. Everything that is not here is nobody’s but hers.
  SHARED_WORK = {
    "memories" => { "show" => :read, "update" => :own, "destroy" => :own },
    "memory_exchanges" => { "show" => :read, "create" => :write },
    "memory_tables" => { "create" => :write },
    "translation_units" => { "index" => :read, "show" => :read, "update" => :write },
    "facets" => { "show" => :read }, "tidies" => { "show" => :read },
    "unit_changes" => { "create" => :write },
    # Of those of projects nothing.
    "operations" => { "index" => :read, "show" => :read, "update" => :manage },
    "operation_files" => { "show" => :read },
    "termbases" => { "show" => :read, "update" => :own, "destroy" => :own },
    "term_entries" => { "index" => :read, "show" => :read, "create" => :write, "update" => :write },
    "term_deletions" => { "create" => :write }, "term_edits" => { "create" => :write },
    "term_exchanges" => { "show" => :read, "create" => :write }, "term_tables" => { "create" => :write },
    "term_versions" => { "index" => :read },
    "term_pictures" => { "show" => :read, "update" => :write, "destroy" => :write },
    "term_candidates" => { "index" => :read, "create" => :write, "update" => :write },
    "shares" => { "index" => :own, "create" => :own }, "remote_keys" => { "index" => :own, "create" => :own }
  }.freeze
  # The whole of it, hers and nobody’s.
  BODY = { target: "x", text: "x", at: 1, kind: "delete", groups: [], ids: [1],
           name: "x", email: "new@somebody.example", address: "http://127.0.0.1:9", candidates: [],
           state: "undone" }.freeze

  def routes = every_route.reject(&:open?).map { |one| one.to_a.first(5) }

  # {[verb, address] => status, or the code of a refusal}: each as if it were the only one.
  def answers(list)
    list.to_h do |verb, path, *|
      told = nil
      leaving_nothing do
        public_send(verb, path, params: BODY, as: :json)
        told = response.status == 422 ? body.dig("error", "code") : response.status
      end
      [[verb, path], told]
    end
  end

  def right(controller, action, path)
    SHARED_WORK.dig(controller, action) unless path.start_with?("/api/projects/")
  end

  def colleague(may)
    user = make_user("Anneke Vos")
    [all.memory, all.termbase].each do |item|
      Share.give(item, email: user.email, may: may, by: owner).update!(state: "accepted")
    end
    sign_in(user)
  end

  before do
    all.numbers
    # Threads that ask others get no connection before the transaction of a request is over.
    stub_const("OutsideWork::WAIT", 0.01)
  end

  it "asks whoever is not signed in to sign in, on every route but those that lead to an account" do
    expect(routes.size).to be > 170
    expect(answers(routes).reject { |_, told| told == 401 }).to eq({})
    expect(all.project.reload.segments.pluck(:target).uniq).to eq([""])
  end

  it "is all not there for strangers" do
    sign_in(make_user("Anneke Vos"))
    named = routes.select(&:last)
    expect(named.size).to be > 140
    expect(answers(named).reject { |_, told| told == 404 }).to eq({})
  end

  # Routes that answer a colleague otherwise than they should; the block says what is right where one writes.
  def wrong
    named = routes.select(&:last)
    told = answers(named)
    others = named.reject do |verb, path, controller, action, _|
      answer = told[[verb, path]]
      case right(controller, action, path)
      when :read then answer.to_i.between?(200, 202)
      when :write then yield answer
      when :manage then answer == "share-right"
      when :own then answer == "share-owner"
      else answer == 404
      end
    end
    others.map { |verb, path, *| [verb, path, told[[verb, path]]] }
  end

  it "lets those who may read read what was given to them, and nothing else" do
    colleague("view")
    expect(wrong { |answer| answer == "share-right" }).to eq([])
  end

  it "lets those who may write write, and leaves the rest to the owner" do
    colleague("edit")
    refusals = [401, 403, 404, "share-right", "share-owner"]
    expect(wrong { |answer| refusals.exclude?(answer) }).to eq([])
  end

  it "keeps nothing from its owner" do
    sign_in(owner)
    ends = %w[sessions#destroy accounts#destroy]
    hers = routes.reject { |_, _, controller, action, _| ends.include?("#{controller}##{action}") }
    # What is read comes first: files that are thrown away do not come back with a transaction.
    told = answers(hers.partition { |verb, *| verb == :get }.flatten(1))
    barred = told.select { |_, answer|
      [401, 403, "share-right", "share-owner"].include?(answer) || answer.to_i >= 500
    }
    expect(barred).to eq({})
  end

  it "lets nothing of others be attached" do
    sign_in(other = make_user("Anneke Vos"))
    mine = make_project(other)
    [{ memories: [{ memory_id: all.memory.id }] }, { client_id: all.numbers["clients"] },
     { termbases: [{ termbase_id: all.termbase.id }] }].each do |params|
      patch "/api/projects/#{mine.id}", params: params, as: :json
      expect(response).to have_http_status(:not_found)
    end
    expect([mine.reload.client_id, mine.memories.pluck(:user_id), mine.attached_termbases.count])
      .to eq([nil, [other.id], 0])
  end
end

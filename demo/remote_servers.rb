# What the demo has on other servers, which are stand-ins: a public memory attached to the manual, and a
# client whose server offers projects. Nothing is asked while it is seeded: the stand-ins begin afterwards.
module Demo
  class RemoteServers
    PUBLIC = { "server" => "Open Sentences", "name" => "Open sentences, English and Italian",
               "languages" => %w[en it], "size" => 55, "may" => "read" }.freeze
    CLIENT = "Harbour Lane Translations".freeze

    def initialize(user)
      @user = user
    end

    def furnish(project)
      attach(public_memory, project)
      client = @user.clients.create!(name: CLIENT, code: "HLT", notes: "Offers projects on its own server.")
      @user.client_servers.create!(client: client, name: CLIENT, key: "harbour",
        address: address("AGENCY_PORT", 3902))
    end

    private

    def address(port, usual) = "http://127.0.0.1:#{ENV.fetch(port, usual)}"

    def public_memory
      memory = @user.memories.create!(name: PUBLIC["name"], source_lang: "en", target_lang: "it",
        description: "General sentences, free for all.")
      RemoteSource.create!(item: memory, user: @user, address: address("PUBLIC_PORT", 3901), key: "open",
        ref: "open-en-it", facts: PUBLIC)
      memory
    end

    # Below the others of the project.
    def attach(memory, project)
      project.attachments.create!(memory: memory, position: project.attachments.maximum(:position) + 1,
        learns: "never", read_only: true, penalty: RemoteSource::PENALTY)
    end
  end
end

# The stand-in for a client's server: it offers projects to a key, gives their files, has a memory and a
# termbase to be attached, and takes deliveries, each once (docs/protocol.md, second part). It can be told
# to take a project back, to offer it anew, to be slow, to fail.
#
#   POST /behaviour  {"slow": seconds, "fail": status}
#   POST /withdraw   {"project": id, "reason": text}
#   POST /offer      {"project": id}: as new
#   GET  /delivered  [{"project", "receipt", "uid", "files": [name], "times": how often it came}]
require "base64"
require "digest"
require "json"
require "time"
require_relative "shelf"
require_relative "knowledge"

module StandIn
  class Agency
    NAME = "Harbour Lane Translations".freeze
    TYPE = { "content-type" => "application/json; charset=utf-8" }.freeze
    FOLDER = File.expand_path("agency", __dir__)
    DAY = 86_400

    # The memory and the termbase of its client.
    class Holder
      Item = Glossema::Remote::Item

      def initialize(key)
        @key = key
        rows = ->(name) { Knowledge.rows(File.join(FOLDER, name)) }
        @items = {
          Item.new(id: "ferry-memory", kind: "memory", name: "Ferry line, English and Italian", may: "write",
            languages: %w[en it]) => Shelf.new(%w[en it], rows["memory.tsv"], by: NAME),
          Item.new(id: "ferry-terms", kind: "termbase", name: "Ferry line, terms", languages: %w[en it],
            may: "read") => TermShelf.new(rows["terms.tsv"])
        }
      end

      def name = NAME
      def spend(*) = true

      def opened(key)
        return unless key == @key

        @items.transform_keys { |item| item.dup.tap { |one| one.size = @items[item].size } }
      end
    end

    def initialize(key)
      @key, @lock = key, Mutex.new
      @service = Glossema::Remote::Service.new(Holder.new(key))
      @projects = JSON.parse(File.read(File.join(FOLDER, "projects.json"))).to_h { |one| [one["id"], one] }
      @projects.each_value { |one| one["state"] = "offered" }
      @behaviour, @deliveries = {}, {}
    end

    def call(env)
      method, path = env["REQUEST_METHOD"], env["PATH_INFO"].chomp("/")
      body = env["rack.input"]&.read.to_s
      value = body.empty? ? nil : JSON.parse(body)
      told = tell(method, path, value)
      return told if told

      sleep(@behaviour["slow"].to_f) if @behaviour["slow"]
      return error(@behaviour["fail"], "down", "It failed.") if @behaviour["fail"]

      @lock.synchronize { serve(method, path, value, env["HTTP_AUTHORIZATION"].to_s[/\ABearer (.+)/, 1]) }
    rescue JSON::ParserError
      error(400, "json", "The body is not JSON.")
    end

    private

    # What it is told from outside.
    def tell(method, path, value)
      case [method, path]
      when %w[POST /behaviour] then answer(200, @behaviour = value.slice("slow", "fail"))
      when %w[POST /withdraw] then answer(200, change(value, "withdrawn"))
      when %w[POST /offer] then answer(200, change(value, "offered"))
      when %w[GET /delivered] then answer(200, @deliveries.values.map { |one| one.except("answer") })
      end
    end

    def change(value, state)
      @projects.fetch(value["project"]).merge!("state" => state, "reason" => value["reason"].to_s)
    end

    def serve(method, path, value, key)
      return error(401, "key", "This key is not known here.") unless key == @key

      if path.start_with?("/remote")
        below = path.delete_prefix("/remote").delete_prefix("/")
        return answer(*@service.answer(method, below, body: value, key: key))
      end

      _, folder, id, act, which = path.split("/")
      return answer(200, "protocol" => "glossema-projects", "version" => 1, "name" => NAME) if folder.nil?
      return listed if [folder, id] == ["projects", nil]

      project = folder == "projects" && @projects[id]
      return error(404, "not-found", "There is no such project.") unless project

      of_project(method, project, act, which, value)
    end

    def listed = answer(200, "projects" => @projects.values.map { |one| shown(one) })

    def of_project(method, project, act, which, value)
      return answer(200, shown(project)) if [method, act] == ["GET", nil]
      return file(project, which) if [method, act] == %w[GET files]

      if project["state"] == "withdrawn"
        why = project["reason"].empty? ? "The order was cancelled." : project["reason"]
        return error(409, "withdrawn", why)
      end

      case [method, act]
      when %w[POST acceptance] then accept(project)
      when %w[PUT deliveries] then deliver(project, which, value)
      else error(404, "not-found", "There is no such thing to be asked for.")
      end
    end

    def accept(project)
      project["state"] = "accepted" if project["state"] == "offered"
      answer(200, shown(project))
    end

    # One that came before is answered as it was then.
    def deliver(project, uid, value)
      known = @deliveries[uid]
      if known
        known["times"] += 1
        return answer(200, known["answer"])
      end

      files = value.to_h["files"].to_a
      whole = files.any? && files.all? do |one|
        Digest::SHA256.hexdigest(Base64.decode64(one["content"].to_s)) == one["sha256"]
      end
      return error(422, "files", "A file is missing or did not come whole.") unless whole

      project["state"] = "delivered"
      answer(200, note(project, uid, files))
    end

    def note(project, uid, files)
      receipt = format("HL-%04d", @deliveries.size + 1)
      said = { "receipt" => receipt, "at" => Time.now.utc.iso8601,
               "files" => files.map { |one| one.slice("name", "sha256") } }
      @deliveries[uid] = { "project" => project["id"], "receipt" => receipt, "uid" => uid, "times" => 1,
                           "files" => files.map { |one| one["name"] }, "answer" => said }
      said
    end

    def shown(project)
      due = (Time.now + (project["days"] * DAY)).utc
      files = project["files"].map do |one|
        bytes = bytes(one["name"])
        { "id" => one["id"], "name" => one["name"], "size" => bytes.bytesize,
          "sha256" => Digest::SHA256.hexdigest(bytes) }
      end
      project.except("days").merge("files" => files,
        "due_at" => Time.utc(due.year, due.month, due.day, 15).iso8601)
    end

    def file(project, id)
      found = project["files"].find { |one| one["id"] == id } or
        return error(404, "not-found", "There is no such file.")
      [200, { "content-type" => "application/octet-stream" }, [bytes(found["name"])]]
    end

    def bytes(name) = File.binread(File.join(FOLDER, name))
    def error(status, code, message) = answer(status, "error" => { "code" => code, "message" => message })
    def answer(status, value) = [status, TYPE, [JSON.generate(value)]]
  end
end

# The stand-in for a public memory: a server of its own that speaks docs/protocol.md, with a memory for each
# of two pairs and a termbase, to read; and a notebook that may be written in with the key for writers. It
# can be told to be slow, to fail, to garble, to answer with far too much.
#
#   POST /behaviour  {"slow": seconds, "fail": status, "garble": one of GARBLED}; an empty one makes it well
#   GET  /asked      how often it was asked
require "json"
require_relative "shelf"
require_relative "knowledge"

module StandIn
  class PublicMemory
    FOLDER = File.expand_path("public", __dir__)
    GARBLED = %w[html half count million other].freeze
    NAME = "Open Sentences".freeze
    TYPE = { "content-type" => "application/json; charset=utf-8" }.freeze

    # What a key opens.
    class Holder
      Item = Glossema::Remote::Item

      def initialize(key)
        @key = key
        rows = ->(name) { Knowledge.rows(File.join(FOLDER, name)) }
        @read = {
          item("open-en-it", "Open sentences, English and Italian", %w[en it]) =>
            Shelf.new(%w[en it], rows["en-it.tsv"], by: NAME),
          item("open-en-nl", "Open sentences, English and Dutch", %w[en nl]) =>
            Shelf.new(%w[en nl], rows["en-nl.tsv"], by: NAME),
          item("open-terms", "Open terms", %w[en it nl], kind: "termbase") => TermShelf.new(rows["terms.tsv"])
        }
        @notebook = { item("notebook", "Notebook", %w[en it], may: "write") =>
          Shelf.new(%w[en it], [], by: NAME),
                      item("word-list", "Word list", %w[en it], kind: "termbase", may: "write") =>
          TermShelf.new([%w[en it], %w[saddle sella]]) }
      end

      def name = NAME

      def opened(key)
        shelves = { @key => @read, "#{@key}-write" => { **@read, **@notebook } }[key]
        shelves&.transform_keys { |item| item.dup.tap { |one| one.size = shelves[item].size } }
      end

      def spend(*) = true

      private

      def item(id, name, languages, kind: "memory", may: "read")
        Item.new(id: id, kind: kind, name: name, languages: languages, may: may)
      end
    end

    def initialize(key)
      @service = Glossema::Remote::Service.new(Holder.new(key))
      @behaviour, @asked, @lock = {}, 0, Mutex.new
    end

    def call(env)
      request = [env["REQUEST_METHOD"], env["PATH_INFO"].chomp("/")]
      body = env["rack.input"]&.read.to_s
      return answer(200, "asked" => @asked) if request == %w[GET /asked]
      return behave(JSON.parse(body)) if request == %w[POST /behaviour]

      serve(*request, env, body)
    rescue JSON::ParserError
      answer(400, "error" => { "code" => "json", "message" => "The body is not JSON." })
    end

    private

    def behave(how)
      @lock.synchronize { @behaviour = how.slice("slow", "fail", "garble") }
      answer(200, @behaviour)
    end

    def serve(method, path, env, body)
      @lock.synchronize { @asked += 1 }
      sleep(@behaviour["slow"].to_f) if @behaviour["slow"]
      return answer(@behaviour["fail"], "error" => "It failed.") if @behaviour["fail"]

      key = env["HTTP_AUTHORIZATION"].to_s[/\ABearer (.+)/, 1]
      query = URI.decode_www_form(env["QUERY_STRING"].to_s).to_h
      value = body.empty? ? nil : JSON.parse(body)
      garbled(*@service.answer(method, path.delete_prefix("/"), key: key, query: query, body: value))
    end

    def garbled(status, value)
      case @behaviour["garble"]
      when "html" then [200, { "content-type" => "text/html" }, ["<html><body>Welcome</body></html>"]]
      when "half" then [200, TYPE, [JSON.generate(value)[0..-3]]]
      when "other" then answer(200, "service" => "weather", "celsius" => 14)
      when "count" then answer(200, "results" => [])
      when "million" then [200, TYPE, million]
      else answer(status, value)
      end
    end

    # Far more than anybody asked for, piece by piece.
    def million
      unit = JSON.generate("source" => "x" * 80, "target" => "y" * 80)
      Enumerator.new do |out|
        out << '{"results":[['
        1_000_000.times { |place| out << (place.zero? ? unit : ",#{unit}") }
        out << "]]}"
      end
    end

    def answer(status, value) = [status, TYPE, [JSON.generate(value)]]
  end
end

# The stand-in for a machine translation service: JSON over HTTP, with a key, in two shapes. It can be told to
# be slow, to fail, to refuse and to garble, so that what an application does then can be seen.
#
#   POST /translate (or /)  {"source", "target", "texts": […]}  →  {"translations": [{"text"}]}
#   POST /chat       {"messages": […]}, the last one ending in a line "source > target: text"
#                                                        →  {"choices": [{"message": {"content"}}]}
#   POST /behaviour  {"slow": seconds, "fail": status, "refuse": "quota" | "key", "garble": one of GARBLED};
#                    an empty one makes it well again
#   GET  /           what it is, how often it was asked, and what it was asked last
require "json"
require_relative "engine"

module StandIn
  class Server
    JSON_TYPE = { "content-type" => "application/json; charset=utf-8" }.freeze
    GARBLED = %w[html half count codes nothing].freeze
    CHAT = /\A(?:.*\n)?(\S+) > (\S+): (.*)\z/m

    def initialize(engine, key)
      @engine, @key = engine, key
      @behaviour, @asked = {}, 0
      @lock = Mutex.new
    end

    def call(env)
      request = [env["REQUEST_METHOD"], env["PATH_INFO"]]
      return answer(200, name: "Glossema stand-in", asked: @asked, last: @last) if request == ["GET", "/"]

      body = env["rack.input"].read
      asked = body.empty? ? {} : JSON.parse(body)
      return behave(asked) if request == ["POST", "/behaviour"]

      serve(request, asked, env["HTTP_AUTHORIZATION"])
    rescue JSON::ParserError
      answer(400, error: "This is not JSON.")
    end

    private

    def behave(asked)
      @lock.synchronize { @behaviour = asked.slice("slow", "fail", "refuse", "garble") }
      answer(200, **@behaviour)
    end

    def serve(request, asked, key)
      @lock.synchronize { @asked, @last = @asked + 1, asked }
      now = @behaviour
      sleep(now["slow"].to_f) if now["slow"]
      return answer(401, error: "The key is not known.") if key != "Bearer #{@key}" || now["refuse"] == "key"
      return answer(429, error: "The quota of this month is used up.") if now["refuse"] == "quota"
      return answer(now["fail"].to_i, error: "It failed.") if now["fail"]

      case request
      when ["POST", "/translate"], ["POST", "/"] then translate(asked, now["garble"])
      when ["POST", "/chat"] then chat(asked, now["garble"])
      else answer(404, error: "There is nothing here.")
      end
    rescue Engine::Unknown => e
      answer(422, error: "#{e.message} is not a pair of languages that is known here.")
    end

    def translate(asked, garble)
      texts = Array(asked["texts"])
      texts = texts.map { |text| @engine.translate(text.to_s, asked["source"], asked["target"]) }
      texts.pop if garble == "count"
      texts.map! { |text| "#{text}<g id=\"99\">!</g>" } if garble == "codes"
      garbled(garble, translations: texts.map { |text| { text: text } })
    end

    def chat(asked, garble)
      said = Array(asked["messages"]).last.to_h["content"].to_s
      match = said.match(CHAT) or return answer(422, error: "The last message asks for nothing.")
      text = @engine.translate(match[3], match[1], match[2])
      garbled(garble, choices: [{ message: { role: "assistant", content: text } }])
    end

    def garbled(how, value)
      return [200, { "content-type" => "text/html" }, ["<html><body>Welcome</body></html>"]] if how == "html"
      return answer(200, **value) unless %w[half nothing].include?(how)

      text = how == "half" ? JSON.generate(value)[0..-3] : ""
      [200, JSON_TYPE, [text]]
    end

    def answer(status, **value) = [status, JSON_TYPE, [JSON.generate(value)]]
  end
end

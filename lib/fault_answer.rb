# What is answered where no controller could: to the API a sentence, to browsers a page.
class FaultAnswer
  def initialize(pages)
    @pages = pages
  end

  def call(env)
    status = env["PATH_INFO"].delete_prefix("/").to_i
    return @pages.call(env) unless env["action_dispatch.original_path"].to_s.start_with?("/api/")

    refusal = status < 500 ? Glossema::Refused.new("request-broken") : Glossema::Refused.new("server-fault")
    body = JSON.generate(error: { code: refusal.code, message: refusal.message })
    [status, { "content-type" => "application/json; charset=utf-8" }, [body]]
  end
end

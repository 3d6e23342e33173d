# Machine translation by services that are asked over HTTP.
module Machine
  # How a service is asked: address, method, headers, template, how many texts at a time, whether it carries
  # codes as markup.
  Service = Struct.new(:address, :method, :headers, :template, :batch, :markup, :patience, keyword_init: true)
  LISTS = Glossema::Machine::Template.new(
    request: '{"source": "{source_lang}", "target": "{target_lang}", "texts": "{texts}"}',
    answer: "translations[*].text"
  )

  # What a chat is told of a text; the text itself last.
  CHAT = <<~TEXT.chomp
    Terms:
    {terms}

    Translated before:
    {matches}

    The text before:
    {before}

    The text after:
    {after}

    {source_lang} > {target_lang}: {text}
  TEXT

  # Templates for a new service: a list of texts in and out, or a chat with the user's instructions.
  TEMPLATES = {
    "lists" => {
      "headers" => { "Authorization" => "Bearer {key}" }, "markup" => true, "batch" => 20,
      "request" => JSON.pretty_generate("source" => "{source_lang}", "target" => "{target_lang}",
        "texts" => "{texts}"),
      "answer" => "translations[*].text"
    },
    "chat" => {
      "headers" => { "Authorization" => "Bearer {key}" }, "markup" => true, "batch" => 1,
      "request" => JSON.pretty_generate(
        "messages" => [
          { "role" => "system", "content" => "{instructions}" },
          { "role" => "user", "content" => CHAT }
        ]
      ),
      "answer" => "choices[0].message.content"
    }
  }.freeze

  # Raises Refused "machine-address" for what is no web address.
  def self.check_address(address)
    return if URI.parse(address.to_s).then { |uri| uri.is_a?(URI::HTTP) && uri.host.present? }

    raise Glossema::Refused.new("machine-address", address: address)
  rescue URI::InvalidURIError
    raise Glossema::Refused.new("machine-address", address: address)
  end

  # A service that takes a list of texts and gives one back.
  def self.lists(address, key)
    Service.new(address: address, method: "post", headers: { "Authorization" => "Bearer #{key}" },
      template: LISTS, batch: 40, markup: true)
  end
end

# What is handed back of a project that came as a hand-over: its text, with the ids of the sender.
class HandOver::Back
  # Raises Refused "package-own" for a project that did not come as one.
  def initialize(project)
    raise Glossema::Refused.new("package-own") unless project.hand_over

    @project, @given = project, project.hand_over
  end

  def name
    "#{[@project.reference, "back", @project.user.name].compact_blank.join(" ")}.zip".tr("/\\", "-")
  end

  def bytes
    parts = @project.documents.each_with_index.to_h do |document, index|
      ["#{HandOver::TEXTS}#{index + 1}.xlf", text(document)]
    end
    about = { "token" => @given["token"], "from" => @project.user.name,
              "words" => @project.words_by_state, "at" => Time.current.utc.iso8601 }
    Glossema::Exchange::Package.write("hand-back", about, parts)
  end

  private

  def text(document)
    keys = @given["ids"].fetch(document.id.to_s, {})
    rows = document.segments.select { |segment| keys.key?(segment.key) }.map do |segment|
      Glossema::Review::Row.new(id: keys.fetch(segment.key), number: segment.position, state: segment.state,
        source: segment.source_content, target: segment.target_content, notes: [])
    end
    HandOver.text_of(document.name, @given["token"], [@project.source_lang, @project.target_lang], rows)
  end
end

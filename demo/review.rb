# The demo's rounds: the kiln guide was read by Ines herself, came back from Matteo Ferrante, and is out to
# him once more.
module Demo
  class Review
    REVISER = "Matteo Ferrante".freeze
    W = Glossema::Review::SheetParts::W
    # What he put otherwise: words of the translation, what they became, and when.
    CHANGES = [
      ["forno", "forno elettrico", "2026-11-25T08:31:00Z"], ["circa", "intorno a", "2026-11-25T08:40:00Z"],
      [", ", "; ", "2026-11-25T08:52:00Z"], ["Prima", "Anzitutto", "2026-11-25T09:02:00Z"]
    ].freeze

    def initialize(project, user)
      @project, @user = project, user
    end

    # Remarks of her own pass: the segment, the words in its translation, kind, severity, and what she said.
    REMARKS = [
      ["cottura", "style/inconsistent-style", "minor", "“cottura” all through, not “ciclo”?"],
      ["°C", "locale-conventions/number-format", "neutral",
       "The point for thousands stays, as on the kiln’s own plate."],
      ["coperchio", "terminology/wrong-term", "major", "Ask Ada Rook: lid or door on the new model?"]
    ].freeze

    def run
      read_myself
      back = send_out
      bytes, name = corrected(back.sheet.download), back.sheet.filename.to_s
      Operations::ReviewReturn.perform_now(@project, by: @user,
        files: [{ io: StringIO.new(bytes), filename: name }])
      back.reload.decide(back.corrections.order(:id).limit(1), "taken", by: @user)
      send_out
    end

    private

    def send_out
      sent = Operations::ReviewSheet.perform_now(@project, by: @user,
        input: { "reviser" => REVISER, "options" => { "terms" => false } })
      ReviewRound.find(sent.result["round_id"])
    end

    # Half read, then closed: what is left is Matteo's.
    def read_myself
      round = ReviewRound.begin_inside(@project, by: @user)
      segments = @project.segments.where(id: round.base.keys).order(:position).to_a
      segments.first(segments.size / 2).each { |segment| round.read(segment, segment.target, by: @user) }
      REMARKS.each do |words, type, severity, text|
        segment = segments.find { |one| one.target_content.text.include?(words) } or next
        remark(round, segment, words, "error_type" => type, "severity" => severity, "text" => text)
      end
      round.close
    end

    def remark(round, segment, words, fields)
      from = segment.target_content.text.index(words)
      spot = { "side" => "target", "from" => from, "to" => from + words.size, "text" => words }
      Note.remark(round, segment, { **fields, "spot" => spot }, by: @user)
    end

    # The sheet with tracked changes, as a word processor leaves them.
    def corrected(bytes)
      Zip::OutputStream.write_buffer { |out|
        Zip::File.open_buffer(StringIO.new(bytes)).each do |entry|
          text = entry.get_input_stream.read
          out.put_next_entry(entry.name)
          out.write(entry.name == "word/document.xml" ? tracked(text) : text)
        end
      }.string
    end

    def tracked(xml)
      document = Nokogiri::XML(xml)
      targets = document.xpath("//w:p[w:pPr/w:pStyle/@w:val='ReviewTarget']/w:r[w:t]", w: W).to_a
      CHANGES.each do |from, to, at|
        run = targets.find { |one| one.at_xpath("w:t", w: W).text.include?(from) } or next
        targets.delete(run)
        change(run, from, to, at)
      end
      document.to_xml(save_with: Nokogiri::XML::Node::SaveOptions::AS_XML)
    end

    def change(run, from, to, at)
      before, after = run.at_xpath("w:t", w: W).text.split(from, 2)
      about = %(w:id="#{at.hash.abs % 10_000}" w:author="#{REVISER}" w:date="#{at}")
      parts = [piece(before), "<w:del #{about}>#{piece(from, "delText")}</w:del>",
               "<w:ins #{about}>#{piece(to)}</w:ins>", piece(after)]
      run.replace(parts.join)
    end

    def piece(text, element = "t")
      return "" if text.to_s.empty?

      %(<w:r><w:#{element} xml:space="preserve">#{ERB::Util.html_escape(text)}</w:#{element}></w:r>)
    end
  end
end

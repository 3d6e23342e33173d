# A finding as the interface shows it, with the segment it is in.
module FindingRow
  def self.of(row)
    segment, stands = row[:segment], row[:stands]
    {
      **row.slice("code", "level", "message", "source", "target", "fix"),
      key: row[:key], segment_id: segment.id, number: segment.position,
      file: segment.document.name, state: segment.state, source_text: segment.source_content.text,
      target_text: segment.target_content.text, group: group_of(row["code"]),
      stands: stands && stands_of(stands)
    }
  end

  def self.stands_of(stands)
    { **stands.slice(:id, :reason, :author), all: stands.segment_id.nil? }
  end

  def self.group_of(code)
    Glossema::Checks.all.find { |kind| kind.code == code }&.group || "consistency"
  end
  private_class_method :group_of, :stands_of
end

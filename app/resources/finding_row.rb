# A finding as the interface shows it, with the segment it is in.
module FindingRow
  def self.build(row)
    segment, stands = row[:segment], row[:stands]
    {
      **row.slice("code", "level", "message", "source", "target", "fix", "other"),
      key: row[:key], segment_id: segment.id, number: segment.position,
      file: segment.document.name, state: segment.state, source_written: segment.source,
      target_written: segment.target, codes: segment.codes, group: group_of(row["code"]),
      stands: stands && stands_of(stands)
    }
  end

  def self.stands_of(stands)
    { **stands.slice(:id, :reason, :author, :created_at), place: stands.place }
  end

  def self.group_of(code)
    return "own" if code == "own"

    Glossema::Checks.all.find { |kind| kind.code == code }&.group || "consistency"
  end
  private_class_method :group_of, :stands_of
end

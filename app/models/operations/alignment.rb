# Two files aligned.
class Operations::Alignment < Operation
  self.reads_files = true
  self.default_weight = "ordinary"
  self.in_activity = false
  self.superseding = true

  def perform = subject.align(self)
  def heavy? = [subject.source_file, subject.target_file].sum(&:byte_size) > LARGE

  # Aligning takes longer than reading.
  LARGE = 200_000

  private

  def abandon
    return unless subject && ::Alignment.exists?(subject.id)
    # A newer one is at it.
    return if state == "cancelled" && self.class.where(subject: subject).where.not(id: id).under_way.exists?

    subject.update!(state: "failed", message: stop_reason(I18n.t("alignments.fault")))
  end
end

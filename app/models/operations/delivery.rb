# The finished files of a project written, proved and delivered; then the memories that learn on delivery
# learn what is new. input: "document_ids", "message".
#
# Files are written and proved out of sight. The delivery is recorded in one short transaction once all of
# them are there. What is learned afterwards can be cancelled and tried again without another delivery.
class Operations::Delivery < Operation
  self.default_weight = "interactive"
  self.in_activity = false

  def perform
    write_files unless delivery
    teach
    send_to_server if subject.server_project&.open?
  end

  def heavy? = Operation::ChildProcess.worth?(segments: subject.segments.count)

  def delivery = @delivery ||= ::Delivery.find_by(id: result["delivery_id"])

  private

  def send_to_server
    OutgoingRequest.queue(delivery, {}, user: user) unless delivery.outgoing_request
  end

  def write_files
    checks, unfinished = check
    documents = subject.documents.select { |one| input["document_ids"].include?(one.id) && one.ready? }
    raise Glossema::Refused.new("nothing-ready") if documents.empty?

    enter("writing", total: documents.size)
    taken = Set.new
    @written = documents.each_with_index.map do |document, index|
      progress(index)
      DeliveredFile.write(document, taken, self)
    end
    texts = store_texts
    publish { record(checks, unfinished, texts) }
    subject.announce("delivered")
  end

  def check
    enter("checking")
    left = Project::CheckRun.new(subject).look_at_few
    checks = { **Project::Checking.new(subject).summary, "left" => left,
                                                         "profile" => CheckProfile.new(subject).from }
    checkpoint
    [checks, Project::Readiness.new(subject).summary]
  end

  def store_texts
    texts = @written.map(&:texts).reduce({}, :merge)
    BytesFirst.store(io: StringIO.new(JSON.generate(texts)), filename: "texts.json")
  end

  def record(checks, unfinished, texts)
    @delivery = ::Delivery.create!(project: subject, user: user, author: user.name,
      message: input["message"].to_s, checks: checks, unfinished: unfinished,
      number: subject.deliveries.maximum(:number).to_i + 1)
    @written.each do |file|
      row = file.to_h.slice(:document_id, :name, :checksum, :byte_size, :proof)
      @delivery.files.create!(**row).content.attach(file.blob)
    end
    @delivery.texts.attach(texts)
    result["delivery_id"] = @delivery.id
  end

  def teach
    attachments = subject.attachments.learning("deliver").includes(:memory).to_a
    return if attachments.empty?

    ids = cursor["unlearned"] ||= delivery.unlearned
    enter("learning", total: ids.size)
    in_steps(ids, counter: "learned") { |id| learn(id, attachments) }
    delivery.update_columns(learned: ids.size)
    attachments.each { |attachment| Operations::IndexCompaction.start(attachment.memory, by: nil) }
  end

  def learn(id, attachments)
    segment = subject.segments.find_by(id: id) or return
    return if segment.unfinished?

    attachments.each { |one| one.memory.learn(segment, by: user) }
    delivery.update_columns(learned: cursor.fetch("learned", 0) + 1)
  end

  # What was written and is not delivered goes.
  def abandon
    @written.to_a.each { |file| file.blob.purge } unless delivery
  end
end

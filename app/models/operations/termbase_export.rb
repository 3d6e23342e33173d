# A termbase as a file. input: "as", of Termbase::Export::FORMS; "style" of TBX.
class Operations::TermbaseExport < Operation
  self.exclusive = false
  self.in_activity = false

  def perform
    export = Termbase::Export.new(subject, style: input["style"].presence)
    bytes = interruptible { export.bytes(input["as"]) }
    complete { output.attach(io: StringIO.new(bytes), filename: export.name(input["as"]), identify: false) }
  end

  def heavy? = Operation::ChildProcess.worth?(segments: subject.entries.count)

  private

  def small? = subject.entries.count <= Operation::SMALL
end

# Operations that make a ZIP file of a project. `package` answers what is written: an object with `bytes` and
# `name`.
module Operation::MakesPackage
  def perform
    made = package
    bytes = interruptible { made.bytes }
    blob = BytesFirst.store(io: StringIO.new(bytes), filename: made.name, content_type: "application/zip")
    complete { output.attach(blob) }
  end
end

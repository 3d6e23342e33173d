# LibreOffice, driven by script: a DOCX edited as a person would.
require "open3"

module Office
  SCRIPT = File.join(__dir__, "office_edit.py")

  module_function

  # bytes: DOCX; edits: see the script → DOCX as LibreOffice writes it.
  def edit(bytes, edits, author: "Matteo Ferrante")
    Dir.mktmpdir do |folder|
      from, to = %w[in.docx out.docx].map { |name| File.join(folder, name) }
      File.binwrite(from, bytes)
      said, status = Open3.capture2e("/usr/bin/python3", SCRIPT, from, to, author,
        stdin_data: JSON.generate(edits))
      raise "LibreOffice: #{said}" unless status.success? && File.exist?(to)

      File.binread(to)
    end
  end

  # Read and saved by it, and nothing else.
  def saved(bytes)
    Dir.mktmpdir do |folder|
      File.binwrite(File.join(folder, "in.docx"), bytes)
      command = ["soffice", "--headless", "-env:UserInstallation=file://#{folder}/user",
                 "--convert-to", "docx", "--outdir", File.join(folder, "out"), File.join(folder, "in.docx")]
      Open3.capture2e(*command)
      File.binread(File.join(folder, "out/in.docx"))
    end
  end
end

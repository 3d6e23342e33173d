# LibreOffice, driven by script: a document edited as a person would.
require "open3"

module Office
  SCRIPT = File.join(__dir__, "office_edit.py")

  module_function

  # bytes: DOCX or XLSX; edits: see the script → the same as LibreOffice writes it.
  def edit(bytes, edits, author: "Matteo Ferrante", ending: "docx")
    Dir.mktmpdir do |folder|
      from, to = %w[in out].map { |name| File.join(folder, "#{name}.#{ending}") }
      File.binwrite(from, bytes)
      said, status = Open3.capture2e("/usr/bin/python3", SCRIPT, from, to, author,
        stdin_data: JSON.generate(edits))
      raise "LibreOffice: #{said}" unless status.success? && File.exist?(to)

      File.binread(to)
    end
  end

  # Read and saved by it, and nothing else.
  def saved(bytes, ending: "docx")
    Dir.mktmpdir do |folder|
      from = File.join(folder, "in.#{ending}")
      File.binwrite(from, bytes)
      command = ["soffice", "--headless", "-env:UserInstallation=file://#{folder}/user",
                 "--convert-to", ending, "--outdir", File.join(folder, "out"), from]
      Open3.capture2e(*command)
      File.binread(File.join(folder, "out/in.#{ending}"))
    end
  end
end

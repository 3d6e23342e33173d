# LibreOffice, driven by script: a document edited as a person would. One runs for all specs of a process.
require "json"
require "open3"
require "tmpdir"

module Office
  SCRIPT = File.join(__dir__, "office_edit.py")

  module_function

  # bytes: DOCX or XLSX; edits: see the script → the same as LibreOffice writes it.
  def edit(bytes, edits, author: "Matteo Ferrante", ending: "docx")
    Dir.mktmpdir do |folder|
      from, to = %w[in out].map { |name| File.join(folder, "#{name}.#{ending}") }
      File.binwrite(from, bytes)
      running.puts(JSON.generate([from, to, author, edits]))
      said = JSON.parse(running.gets || raise("LibreOffice: its script has ended"))
      raise "LibreOffice: #{said}" if said

      File.binread(to)
    end
  end

  # Read and saved by it, and nothing else: also with comments, over which its script falls.
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

  # Its script; at the end of the process the input closes, and the script ends what it started.
  def running
    @running ||= IO.popen(["/usr/bin/python3", SCRIPT], "r+").tap { |script| at_exit { script.close } }
  end
end

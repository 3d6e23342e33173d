# Five hundred files that mean harm: name, bytes and what kind of harm, made as they are asked for.
require "zlib"

module Hostile
  One = Struct.new(:kind, :name, :bytes)
  SECRET = "root:x:0".freeze
  # What a preview must never let run.
  FOLDER = File.join(__dir__, "hostile")
  SCRIPTS = File.readlines(File.join(FOLDER, "scripts.txt"), chomp: true).freeze
  # Around a text, in every format that is XML.
  XML = JSON.parse(File.read(File.join(FOLDER, "around.json"))).freeze
  # The part of a package that holds its text.
  PARTS = {
    "docx" => "word/document.xml", "xlsx" => "xl/sharedStrings.xml", "pptx" => "ppt/slides/slide1.xml",
    "odt" => "content.xml", "ods" => "content.xml", "odp" => "content.xml", "epub" => "OEBPS/a.xhtml"
  }.freeze
  # Which of our own samples a package is made of.
  PLAIN = %w[txt md csv tsv srt vtt po properties ini strings json yaml html].freeze
  ALL = (XML.keys + PARTS.keys + PLAIN).freeze

  module_function

  def each(&)
    entities(&)
    outside(&)
    packages(&)
    deep(&)
    endless(&)
    wrong(&)
    macros(&)
    scripts(&)
    names(&)
    damaged(&)
  end

  def one(kind, name, bytes) = One.new(kind, name, bytes.dup.force_encoding("BINARY"))

  LAUGHS = ["<!ENTITY a0 \"ha\">", *(1..9).map { |n|
    "<!ENTITY a#{n} \"#{"&a#{n - 1};" * 10}\">"
  }].join.freeze
  # {what => [document type, what stands in the text]}
  EXPANSIONS = {
    "laughs" => ["[#{LAUGHS}]", "&a9;"],
    "quadratic" => ["[<!ENTITY a \"#{"x" * 50_000}\">]", "&a;" * 2_000],
    "itself" => ["[<!ENTITY a \"&b;\"><!ENTITY b \"&a;\">]", "&a;"],
    "parameters" => ["[<!ENTITY % a \"<!ENTITY b 'x'>\"> %a; <!ENTITY c \"&b;&b;\">]", "&c;"]
  }.freeze
  OUTSIDE = {
    "file" => ["[<!ENTITY x SYSTEM \"file:///etc/passwd\">]", "&x;"],
    "web" => ["[<!ENTITY x SYSTEM \"http://127.0.0.1:9/x\">]", "&x;"],
    "type" => ["SYSTEM \"file:///etc/passwd\"", "text"],
    "parameter" => ["[<!ENTITY % p SYSTEM \"file:///etc/passwd\"> %p;]", "text"],
    "include" => [nil, "<i:include xmlns:i=\"http://www.w3.org/2001/XInclude\" href=\"file:///etc/passwd\"/>"]
  }.freeze

  def entities(&) = in_all("entities", EXPANSIONS, &)
  def outside(&) = in_all("outside", OUTSIDE, &)

  def in_all(kind, cases)
    cases.each do |what, (type, text)|
      everywhere(type, text) { |name, bytes| yield one(kind, "#{what}-#{name}", bytes) }
    end
  end

  # In every format that is XML, and in the text of every package.
  def everywhere(type, text)
    XML.each { |ending, around| yield "a.#{ending}", document(format(around, text), type) }
    PARTS.each do |ending, part|
      change = ->(xml) { typed(xml, type).sub(/>([^<>]*[a-z][^<>]*)</) { ">#{text}<" } }
      yield "a.#{ending}", package(ending, part => change)
    end
  end

  def document(body, type)
    root = body[/\A<([\w:]+)/, 1]
    "<?xml version=\"1.0\"?>#{type && "<!DOCTYPE #{root} #{type}>"}#{body}"
  end

  def typed(xml, type)
    return xml unless type

    bare = xml.sub(/\A\s*<\?xml[^>]*\?>\s*/, "").sub(/<!DOCTYPE[^>]*>/, "")
    document(bare, type)
  end

  # A demo file of ours with parts changed; further parts besides.
  def package(ending, changes = {}, besides = {})
    @samples ||= {}
    @samples[ending] ||= Zip::File.open(sample(ending)) { |zip|
      zip.entries.reject(&:directory?).to_h { |entry| [entry.name, entry.get_input_stream.read] }
    }
    parts = @samples[ending].dup
    changes.each do |name, change|
      parts[name] = change.call(parts[name].dup.force_encoding("UTF-8")) if parts.key?(name)
    end
    Files.zip(parts.merge(besides))
  end

  def sample(ending) = Dir[File.join(Files::DEMO, "**/*.#{ending}")].min || raise("no demo file .#{ending}")

  def packages
    PARTS.each_key do |ending|
      {
        "bomb" => -> { package(ending, {}, { "x/huge.xml" => "0" * 40_000_000 }) },
        "many" => -> { package(ending, {}, (1..6_000).to_h { |n| ["x/#{n}.xml", "<a/>"] }) },
        "climbing" => -> { package(ending, {}, { "../../../tmp/hostile.txt" => "x" }) },
        "absolute" => -> { package(ending, {}, { "!etc/hostile" => "x" }).gsub("!etc/", "/etc/") },
        "zip-in-zip" => -> { package(ending, {}, { "x/inner.zip" => Files.zip("a" => "0" * 5_000_000) }) },
        "cut" => -> { package(ending).then { |bytes| bytes[0, bytes.bytesize * 2 / 3] } },
        "sizes" => -> { sizes(package(ending)) },
        "crypted" => -> { flagged(package(ending)) }
      }.each { |what, made| yield one("packages", "#{what}.#{ending}", made.call) }
    end
  end

  # Local and central headers say that what is packed is as good as nothing.
  def sizes(bytes) = bytes.b.gsub(/PK\x01\x02.{20}\K.{4}/mn) { [3].pack("V") }

  # All entries are said to be encrypted.
  def flagged(bytes)
    bytes.b.gsub(/PK\x01\x02.{4}\K../mn) { [1].pack("v") }.gsub(/PK\x03\x04..\K../mn) { [1].pack("v") }
  end

  DEPTH = 10_000
  def deep
    nested = "#{"<b>" * DEPTH}x#{"</b>" * DEPTH}"
    XML.each { |ending, around| yield one("deep", "deep.#{ending}", format(around, nested)) }
    yield one("deep", "deep.html", "#{"<div>" * DEPTH}x")
    yield one("deep", "deep.json", "#{"[" * DEPTH}1#{"]" * DEPTH}")
    yield one("deep", "objects.json", "#{"{\"a\":" * DEPTH}1#{"}" * DEPTH}")
    yield one("deep", "deep.yaml", "a: #{"[" * DEPTH}1#{"]" * DEPTH}")
    yield one("deep", "aliases.yaml", aliases)
    yield one("deep", "quotes.md", "#{">" * DEPTH} x")
    yield one("deep", "lists.md", (0..2_000).map { |n| "#{"  " * n}- x" }.join("\n"))
    yield one("deep", "stars.md", "*" * 60_000)
    yield one("deep", "brackets.md", "#{"[" * 40_000}x#{"](" * 40_000}")
    yield one("deep", "ticks.md", (1..2_000).map { |n| "#{"`" * n} " }.join)
  end

  # Each list names the one before it twice.
  def aliases
    "a0: &a0 [x,x]\n" + (1..30).map { |n| "a#{n}: &a#{n} [*a#{n - 1},*a#{n - 1}]" }.join("\n")
  end

  LONG = 1_000_000
  def endless
    PLAIN.each do |ending|
      yield one("endless", "letters.#{ending}", "a" * LONG)
      yield one("endless", "words.#{ending}", "word " * (LONG / 5))
      yield one("endless", "quotes.#{ending}", "\"" * (LONG / 3))
    end
  end

  def wrong
    ALL.each do |ending|
      yield one("wrong", "empty.#{ending}", "")
      yield one("wrong", "mark.#{ending}", "\xEF\xBB\xBF")
      yield one("wrong", "nothing.#{ending}", "\0" * 5_000)
      yield one("wrong", "picture.#{ending}", "\x89PNG\r\n\x1A\n#{"\xFF" * 400}")
      yield one("wrong", "half.#{ending}", "\xFE\xFF\x00T\x00e\xD8\x00\x00x\x00")
    end
  end

  def macros
    yield one("macros", "a.docm", package("docx", {}, { "word/vbaProject.bin" => "Sub AutoOpen" }))
    yield one("macros", "a.xlsm", package("xlsx", {}, { "xl/vbaProject.bin" => "Sub Auto_Open" }))
    yield one("macros", "a.pptm", package("pptx", {}, { "ppt/vbaProject.bin" => "Sub Auto_Open" }))
    run = "<w:r><w:t>Press</w:t></w:r>"
    yield one("macros", "dde.docx",
      Files.docx("<w:p><w:fldSimple w:instr=\"DDEAUTO cmd /c calc\">#{run}</w:fldSimple></w:p>"))
    formulas = "=cmd|'/c calc'!A0,+1,-1,@SUM(1)\n=HYPERLINK(\"http://evil.example\"),x"
    yield one("macros", "formulas.csv", formulas)
  end

  def scripts
    SCRIPTS.each_with_index do |script, index|
      yield one("scripts", "s#{index}.html",
        "<!DOCTYPE html><html><body><p>Read this text.</p>#{script}<p>And this.</p></body></html>")
      yield one("scripts", "s#{index}.md", "Read this text.\n\n#{script}\n\nAnd this.")
      yield one("scripts", "s#{index}.svg",
        format(XML["svg"], "Read</text>#{script.tr("\n", " ")}<text>this"))
    end
  end

  NAMES = [
    "a\u0000b.txt", "a\nb.txt", "a\tb.txt", "\u202Etxt.exe.txt", "../../etc/passwd.txt", "..\\..\\boot.txt",
    "/etc/x.txt", "<img src=x onerror=alert(1)>.txt", "\"quoted\".txt", "'; DROP TABLE users;--.txt",
    "#{"n" * 4_000}.txt", ".txt", "..txt", "   .txt", "a.txt\u0007", "CON.txt", "a:b.txt", "a?b*.txt",
    "\u200B\u200B.txt", "\u{1F6B2}.txt", "a%00b.txt", "=cmd.txt", "a.b.c.d.txt", "~.txt", "-rf.txt",
    "$(reboot).txt", "`reboot`.txt", "\\\\server\\share.txt", "a\r\nSet-Cookie: x.txt", "\uFEFFa.txt"
  ].freeze
  def names
    NAMES.each { |name| yield one("names", name, "Read this text.\n") }
  end

  # Our own demo files, with bytes changed, cut and doubled.
  def damaged
    random = Random.new(20)
    files = Dir[File.join(Files::DEMO, "**/*.*")].select { |path| File.file?(path) }.sort
    80.times do |turn|
      path = files[turn % files.size]
      bytes = File.binread(path)
      case turn % 3
      when 0 then 30.times { bytes.setbyte(random.rand(bytes.bytesize), random.rand(256)) }
      when 1 then bytes = bytes[0, random.rand(1..bytes.bytesize)]
      else bytes = bytes[0, bytes.bytesize / 2] + bytes
      end
      yield one("damaged", "#{turn}-#{File.basename(path)}", bytes)
    end
  end
end

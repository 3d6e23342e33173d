# Documents whose preview would run a script, load something from elsewhere, or cover the page, if it showed
# what stands in them as it is.
require_relative "hostile"

module HostilePages
  EVIL = "http://evil.example".freeze
  RUN = "window.hacked=1;fetch('#{EVIL}/run')".freeze
  # Values that end where they stand and go on as something else.
  ESCAPES = [
    "red;position:fixed;inset:0;z-index:9999", "url(#{EVIL}/x.png)", "expression(#{RUN})",
    "&quot;&gt;&lt;img src=x onerror=&quot;#{RUN}&quot;&gt;", "&quot; onmouseover=&quot;#{RUN}",
    "x&apos;}&lt;/style&gt;&lt;script&gt;#{RUN}&lt;/script&gt;", "a;background:url(#{EVIL}/y.png)"
  ].freeze
  LINKS = ["javascript:#{RUN}", "data:text/html,&lt;script&gt;#{RUN}&lt;/script&gt;", "vbscript:x",
           "#{EVIL}/page", " java&#9;script:#{RUN}"].freeze
  WRITTEN = ["&lt;script&gt;#{RUN}&lt;/script&gt;", "&lt;img src=x onerror=#{RUN}&gt;",
             "&lt;iframe src=&quot;#{EVIL}&quot;&gt;&lt;/iframe&gt;"].freeze
  # Markup that a page, or Markdown, may hold.
  MARKUP = [
    *Hostile::SCRIPTS.map { |one|
      one.gsub(/alert\(1\)|parent\.x=1/, RUN).gsub("https://evil.example", EVIL)
    },
    "<img src=\"#{EVIL}/a.png\">", "<img srcset=\"#{EVIL}/a.png 2x\">",
    "<p style=\"position:fixed;inset:0;background:red;z-index:9999\">x</p>",
    "<p style=\"background-image:url('#{EVIL}/b.png')\">x</p>",
    "<audio autoplay src=\"#{EVIL}/a.mp3\"></audio>",
    "<style>*{position:fixed;inset:0}</style>", "<a href=\"#{EVIL}\" ping=\"#{EVIL}/ping\">x</a>",
    "<p class=\"card\" id=\"root\" data-id=\"1\" data-segment=\"x\">x</p>"
  ].freeze

  module_function

  # [[name, bytes] …]
  def all = [*word, *slides, *open_text, *books, *markdown]

  def word
    bodies = [
      *ESCAPES.map { |one|
        run("<w:color w:val=\"#{one}\"/>") + run("<w:rFonts w:ascii=\"#{one}\"/>") +
          "<w:p><w:pPr><w:jc w:val=\"#{one}\"/></w:pPr><w:r><w:t>Read this.</w:t></w:r></w:p>"
      },
      *LINKS.map { |one|
        "<w:p><w:hyperlink r:id=\"evil\" w:tooltip=\"#{one}\"><w:r><w:t>Press.</w:t></w:r>" \
          "</w:hyperlink></w:p>"
      },
      *WRITTEN.map { |one| "<w:p><w:r><w:t>#{one}</w:t></w:r></w:p>" },
      "<w:altChunk r:id=\"evil\"/><w:p><w:r><w:t>Read this.</w:t></w:r></w:p>",
      "<w:p><w:r><w:instrText>INCLUDEPICTURE \"#{EVIL}/f.png\"</w:instrText></w:r>" \
        "<w:r><w:t>Read.</w:t></w:r></w:p>"
    ]
    bodies.each_with_index.map { |body, index| ["word#{index}.docx", Files.docx(body, relations(index))] }
  end

  def run(properties) = "<w:p><w:r><w:rPr>#{properties}</w:rPr><w:t>Read this.</w:t></w:r></w:p>"

  RELATIONS = "http://schemas.openxmlformats.org/package/2006/relationships".freeze
  LINK = "http://schemas.openxmlformats.org/officeDocument/2006/relationships/hyperlink".freeze

  def relations(index)
    target = LINKS[index % LINKS.size]
    { "word/_rels/document.xml.rels" => <<~XML }
      <?xml version="1.0"?><Relationships xmlns="#{RELATIONS}">
      <Relationship Id="evil" Type="#{LINK}" Target="#{target}" TargetMode="External"/></Relationships>
    XML
  end

  def slides
    [*ESCAPES, *WRITTEN].each_with_index.map do |one, index|
      change = lambda do |xml|
        xml.gsub(/(<a:srgbClr val=")[^"]*/) { "#{$1}#{one}" }.gsub(/(typeface=")[^"]*/) { "#{$1}#{one}" }
          .gsub(/( algn=")[^"]*/) { "#{$1}#{one}" }.sub(%r{<a:t>[^<]*</a:t>}) { "<a:t>#{one}</a:t>" }
      end
      ["slides#{index}.pptx", Hostile.package("pptx", { "ppt/slides/slide1.xml" => change })]
    end
  end

  def open_text
    [*ESCAPES, *LINKS].each_with_index.map do |one, index|
      change = lambda do |xml|
        link = "<text:a xlink:type=\"simple\" xlink:href=\"#{one}\">Press.</text:a>"
        picture = "<draw:frame><draw:image xlink:href=\"#{EVIL}/p.png\"/></draw:frame>"
        xml.gsub(/((?:fo:color|fo:background-color|style:font-name|fo:text-align)=")[^"]*/) { "#{$1}#{one}" }
          .sub(/(<office:text[^>]*>)/) { "#{$1}<text:p>Read #{link}#{picture} this.</text:p>" }
      end
      ["open#{index}.odt", Hostile.package("odt", { "content.xml" => change, "styles.xml" => change })]
    end
  end

  def books
    part = Files.parts_of(File.binread(Hostile.sample("epub"))).keys.grep(/\.xhtml\z/).reject { |name|
      name[/nav|toc/]
    }.min
    MARKUP.each_slice(3).with_index.map do |several, index|
      sound = Nokogiri::HTML5.fragment(several.join).to_xhtml
      change = ->(xml) { xml.sub(/(<body[^>]*>)/) { "#{$1}<p>Read this.</p>#{sound}" } }
      ["book#{index}.epub", Hostile.package("epub", { part => change })]
    end
  end

  def markdown
    links = LINKS.map { |one| "[press](#{one}) ![picture](#{EVIL}/m.png)" }
    [*MARKUP, *links].each_slice(3).with_index.map do |several, index|
      ["mark#{index}.md", ["Read this text.", *several, "And this.\n"].join("\n\n")]
    end
  end
end

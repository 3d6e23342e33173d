# Words of controls, and choices and messages of rules for cells, in ODF.
RSpec.describe Glossema::Formats::Odf::Controls do
  spaces = %w[office text table form].map { |name|
    "xmlns:#{name}=\"urn:oasis:names:tc:opendocument:xmlns:#{name}:1.0\""
  }.join(" ")

  define_method(:sheet) do |rules, forms|
    zip(
      "mimetype" => Glossema::Formats::Ods::MEDIA_TYPE,
      "META-INF/manifest.xml" => "<m/>",
      "content.xml" => "<office:document-content #{spaces}><office:body><office:spreadsheet>" \
        "<table:content-validations>#{rules}</table:content-validations><table:table table:name=\"1\">" \
        "<office:forms>#{forms}</office:forms><table:table-row><table:table-cell><text:p>Answer</text:p>" \
        "</table:table-cell></table:table-row></table:table></office:spreadsheet></office:body>" \
        "</office:document-content>",
      "styles.xml" => "<office:document-styles #{spaces}/>"
    )
  end

  it "are texts and are written where they stood" do
    rule = "<table:content-validation table:condition=\"of:cell-content-is-in-list(&quot;Yes; " \
      "gladly&quot;;&quot;12&quot;)\"><table:help-message table:title=\"Please\"><text:p>Pick.</text:p>" \
      "</table:help-message></table:content-validation>"
    forms = "<form:form form:name=\"f\"><form:button form:name=\"b\" form:label=\"Send\"/><form:listbox>" \
      "<form:option form:label=\"Red\"/></form:listbox></form:form>"
    made = Glossema::Document.new(sheet(rule, forms), name: "a.ods", language: "en")
    expect(written_of(made)).to contain_exactly("Answer", "Send", "Red", "Yes; gladly", "Please", "Pick.")
    content = parts_of(pseudo(made).b)["content.xml"]
    expect(content).to match(/in-list\(&quot;Ý[^;&]*; ĝ[^&]*&quot;;&quot;12&quot;\)/)
      .and match(/form:name="b" form:label="Š/).and match(/form:option form:label="Ŕ/)
      .and match(/table:title="Þ/)
  end

  it "are what stands in fields and what a content control offers" do
    field = "<text:p>Name: <text:text-input text:description=\"x\">Your name</text:text-input></text:p>"
    control = "<text:p>Colour: <loext:content-control loext:alias=\"c\"><loext:list-item " \
      "loext:display-text=\"Deep blue\" loext:value=\"b\"/><text:span>Choose</text:span>" \
      "</loext:content-control></text:p>"
    parts = {
      "mimetype" => Glossema::Formats::Odt::MEDIA_TYPE, "META-INF/manifest.xml" => "<m/>",
      "styles.xml" => "<office:document-styles #{spaces}/>",
      "content.xml" => "<office:document-content #{spaces} xmlns:loext=\"urn:l\"><office:body><office:text>" \
        "#{field}#{control}</office:text></office:body></office:document-content>"
    }
    made = Glossema::Document.new(zip(parts), name: "a.odt", language: "en")
    expect(written_of(made)).to eq(["Name:", "Colour: {1}Choose{/1}", "Deep blue", "Your name"])
    content = parts_of(pseudo(made).b)["content.xml"]
    expect(content).to match(%r{description="x">Ýöûŕ[^<]*</text:text-input>})
      .and match(%r{alias="c"><loext:list-item loext:display-text="Ď[^"]*" loext:value="b"/>Ç})
  end
end

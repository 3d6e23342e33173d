# Placeholders and markup in texts of software: what becomes a code, and that the text comes back.
RSpec.describe Glossema::Formats::Placeholders do
  {
    "Hello %s" => "Hello {1/}",
    "%d of %d" => "{1/} of {2/}",
    "%1$s and %2$s" => "{1/} and {2/}",
    "%@ and %ld" => "{1/} and {2/}",
    "%.2f km" => "{1/} km",
    "%-5s|" => "{1/}|",
    "%(name)s rides" => "{1/} rides",
    "%{count} rides" => "{1/} rides",
    "%1 of %2" => "{1/} of {2/}",
    "100 % sure" => "100 % sure",
    "50% discount" => "50% discount",
    "100%" => "100%",
    "100%% sure" => "100{1/} sure",
    "Hi {name}" => "Hi {1/}",
    "Hi {{name}}" => "Hi {1/}",
    "Hi {{{name}}}" => "Hi {1/}",
    "Hi {0}, {1}" => "Hi {1/}, {2/}",
    "Hi {user.name}" => "Hi {1/}",
    "{date, short}" => "{1/}",
    "${name} rides" => "{1/} rides",
    "\#{name} rides" => "{1/} rides",
    "$t(other.key) now" => "{1/} now",
    "{} left" => "{1/} left",
    "a { b } c" => "a \\{ b } c",
    "{not a name!}" => "\\{not a name!}",
    "one <b>two</b>" => "one {1}two{/1}",
    "<b>one</b> <i>two</i>" => "{1}one{/1} {2}two{/2}",
    "<b>one <i>two</i></b>" => "{1}one {2}two{/2}{/1}",
    "one<br>two" => "one{1/}two",
    "one<br/>two" => "one{1/}two",
    "<a href=\"x\">one</a>" => "{1}one{/1}",
    "one </b> two" => "one {1/} two",
    "one <b> two" => "one {1/} two",
    "1 < 2 > 0" => "1 < 2 > 0",
    "a <- b" => "a <- b",
    "<b>%s</b>" => "{1}{2/}{/1}",
    "plain" => "plain",
    "" => ""
  }.each do |text, written|
    it "reads #{text.inspect} as #{written.inspect}, and writes it back" do
      content, raws = described_class.read(text)
      expect(content.written).to eq(written)
      expect(described_class.write(content, raws, &:itself)).to eq(text)
    end
  end

  {
    ["Hi {name}, %d", "%d, ciao {name}"] => "{2/}, ciao {1/}",
    ["<b>One</b> two", "due <b>Uno</b>"] => "due {1}Uno{/1}",
    ["Hi {name}", "Ciao {nome}"] => "Ciao \\{nome}",
    ["%s and %s", "%s e %s e %s"] => "{1/} e {2/} e %s",
    %w[One <i>Uno</i>] => "<i>Uno</i>"
  }.each do |(source, target), written|
    it "reads #{target.inspect} with the codes of #{source.inspect}" do
      content, raws = described_class.read(source)
      expect(described_class.read_target(target, content, raws).written).to eq(written)
    end
  end
end

RSpec.describe Glossema::Formats::Message do
  {
    "{n, plural, one{# bike} other{# bikes}}" => {
      "one" => "# bike",
      "other" => "# bikes"
    },
    "You have {n, plural, =0{none} other{#}} here" => {
      "before" => "You have",
      "=0" => "none",
      "other" => "#",
      "after" => "here"
    },
    "{g, select, female{She} other{They}}" => {
      "female" => "She",
      "other" => "They"
    },
    "{n, selectordinal, one{#st} other{#th}}" => {
      "one" => "#st",
      "other" => "#th"
    },
    "{g, select, a{{n, plural, one{x} other{y}}} other{z}}" => {
      "a · one" => "x",
      "a · other" => "y",
      "other" => "z"
    },
    "{n, plural, offset:1 one{it's '{'one'}'} other{b}}" => {
      "one" => "it's '{'one'}'",
      "other" => "b"
    }
  }.each do |text, branches|
    it "finds the branches of #{text}" do
      message = described_class.new(text)
      expect(message.branches.to_h { |branch| [branch.label, branch.text] }).to eq(branches)
      message.branches.each { |branch| expect(text[branch.from...branch.to]).to eq(branch.text) }
    end
  end

  ["Hello {name}", "{n, number}", "no braces", "{n, plural, one{broken"].each do |text|
    it("sees no branches in #{text}") { expect(described_class.plural?(text)).to be(false) }
  end
end

RSpec.describe Glossema::Formats::Plurals do
  {
    "it" => [%w[one other], 2],
    "pl" => [%w[one few many other], 3],
    "ar" => [%w[zero one two few many other], 6],
    "ja" => [%w[other], 1],
    "ru-RU" => [%w[one few many other], 3],
    "cs" => [%w[one few many other], 3],
    "fr" => [%w[one other], 2],
    "sl" => [%w[one two few other], 4],
    "xx" => [%w[one other], 2]
  }.each do |language, (categories, forms)|
    it "knows the plural forms of #{language}" do
      expect(described_class.categories(language)).to eq(categories)
      expect(described_class.gettext(language)).to start_with("nplurals=#{forms};")
    end
  end
end

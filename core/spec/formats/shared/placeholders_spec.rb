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
      expect(message.leaves.to_h { |leaf| [leaf.label, leaf.text] }).to eq(branches)
      expect(message.write({})).to eq(text)
    end
  end

  # [message, language, {label => translation}, the message as it is written]
  [
    ["{n, plural, one {# bike} other {# bikes}}", "pl", { "few" => "# rowery" },
     "{n, plural, one {# bike} few {# rowery} other {# bikes}}"],
    ["{n, plural, =0 {none} one {# bike} other {# bikes}}", "ja", { "other" => "#台" },
     "{n, plural, =0 {none} other {#台}}"],
    ["{n, selectordinal, one {#st} two {#nd} few {#rd} other {#th}}", "it",
     { "many" => "l’#", "other" => "il #" },
     "{n, selectordinal, many {l’#} other {il #}}"],
    ["{g, select, f {{n, plural, one {a} other {b}}} other {c}}", "ru", { "f · many" => "d" },
     "{g, select, f {{n, plural, one {a} many {d} other {b}}} other {c}}"],
    ["{n, plural, one {a} other {{g, select, f {x} other {y}}}}", "cs", { "few · f" => "z" },
     "{n, plural, one {a} few {{g, select, f {z} other {y}}} other {{g, select, f {x} other {y}}}}"],
    ["{0,choice,0#no files|1#one file|1<many}", "pl", { "1<" => "wiele" },
     "{0,choice,0#no files|1#one file|1<wiele}"],
    ["{a, plural, one {x} other {y}} and {b, plural, one {x} other {y}}", nil, { "one (2)" => "z" },
     "{a, plural, one {x} other {y}} and {b, plural, one {z} other {y}}"]
  ].each do |text, language, texts, written|
    it("fits #{text} to #{language.inspect}") do
      expect(described_class.new(text, language: language).write(texts)).to eq(written)
    end
  end

  ["dell'", "l'{name}", "usa {graffe}", "è n. 1 #", "don't", "'", "l''altro"].each do |target|
    ["{n, plural, one {# of {name}} other {It''s}}",
     "{n, plural, one {# of {name}} other {It's '{'me'}'}}"].each do |text|
      it "says #{target} in #{text} as it was typed" do
        message = described_class.new(text)
        leaf = message.leaves.first
        _, raws = message.read(leaf)
        code = Glossema::Code.new(id: 2, kind: :alone, key: raws.key("{name}"))
        typed = target.split(/(\{name\})/).map { |part| part == "{name}" ? code : part }
        put = message.write("one" => message.written(leaf, Glossema::Content.new(typed), raws))
        again = described_class.new(put)
        expect(again.leaves.map(&:label)).to eq(%w[one other])
        content, own = again.read(again.leaves.first)
        shown = content.items.map { |item| item.is_a?(String) ? item : own.fetch(item.key) }.join
        expect(shown.gsub(/'([{}#]+)'/, '\\1')).to eq(target)
      end
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

# Machine translation as far as it needs no network: what is asked of a service and what is read from its
# answer, by templates; codes as markup.
module Glossema
  module Machine
  end
end

require "glossema/machine/template"
require "glossema/machine/markup"
require "glossema/machine/cleaned"
require "glossema/machine/post_editing"

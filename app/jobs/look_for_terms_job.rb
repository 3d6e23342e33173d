# Looks for candidates of a termbase.
class LookForTermsJob < ApplicationJob
  include ToldByAct

  def perform(act)
    Termbase::Look.new(act).run if act.facts["state"] == "looking"
  end
end

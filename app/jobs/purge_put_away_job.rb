# What was put away longer ago than it is kept goes for good.
class PurgePutAwayJob < ApplicationJob
  def perform
    PutAway.purge_old
    Memory.purge_old
    Project.purge_quick
  end
end

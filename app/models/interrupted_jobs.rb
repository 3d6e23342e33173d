# Jobs that a server left behind when it was killed. There is one process, so at its start none of them runs:
# those that were under way are given out again, but those whose records begin their own anew.
module InterruptedJobs
  # What each record of a kind begins again by itself: see its `resume`.
  BEGUN_BY_RECORDS = %w[ReadDocumentJob CompareVersionJob ImportUnitsJob ChangeUnitsJob AlignJob
                        CountReportJob].freeze

  module_function

  def take_up
    SolidQueue::Job.where(class_name: BEGUN_BY_RECORDS, finished_at: nil).find_each(&:destroy)
    SolidQueue::ClaimedExecution.release_all
    SolidQueue::Process.delete_all
    [Document, MemoryChange, Alignment, Report].each(&:resume)
  end
end

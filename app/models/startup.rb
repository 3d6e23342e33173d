# What a server does first: what the last one left half done goes on. There is one server for a data folder
# (ServerLock), so none of it is in anybody's hands.
module Startup
  module_function

  def resume
    SolidQueue::Job.where(class_name: "OperationJob", finished_at: nil).find_each(&:destroy)
    SolidQueue::ClaimedExecution.release_all
    SolidQueue::Process.delete_all
    Operation.resume
    Document.where(role: "staged").find_each(&:purge)
    [Document, Alignment, Report].each(&:resume)
    Operations::Purge.start(nil, by: nil)
  end
end

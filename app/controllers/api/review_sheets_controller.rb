# A review sheet that came back.
module Api
  class ReviewSheetsController < BaseController
    # params: file; the round is told by the sheet.
    def create
      rounds, file = project.review_rounds, uploads(:file).first
      bytes, name = file.read, file.original_filename
      round = ReviewRound::Reading.round_of(bytes, name, rounds)
      strange = round.take_in(bytes, name)
      project.announce("notes")
      render json: { round: ReviewRoundResource.new(round).to_h, strange: strange }, status: :created
    end
  end
end

# The words of a project that no dictionary knows, in one list.
module Api
  class MisspellingsController < BaseController
    def index
      list = Project::Misspellings.new(project)
      render json: { there: list.there?, words: list.words.map { |word, places| row(word, places) } }
    end

    private

    def row(word, places)
      { word: word, count: places.size,
        places: places.first(Project::Misspellings::SHOWN).map { |place| row_of(place) } }
    end

    def row_of(place)
      segment = place.segment
      { segment_id: segment.id, number: segment.position, file: segment.document.name, from: place.from,
        to: place.to, text: segment.target_content.text }
    end
  end
end

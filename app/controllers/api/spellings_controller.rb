# The spelling of a text that is being typed, suggestions for a word, and added words.
module Api
  class SpellingsController < BaseController
    takes word: :text, text: :text, where: :text

    # params: word: what may have been meant.
    def show = render(json: { suggestions: project.spelling.suggestions(params[:word].to_s) })

    # params: text. Answers whether there is a dictionary, and the faults by their place in code points.
    def create
      checker = project.spelling
      render json: { there: checker.there?, faults: checker.faults(params[:text].to_s).map(&:to_h) }
    end

    # params: word; where: "mine", "client" or "project".
    def update
      added = project.learn_word(params[:word].to_s, params[:where].to_s)
      render json: { id: added.id }
    end

    # params: word: removed from the user's words.
    def destroy
      UserWord.in_project(project).where(word: params[:word].to_s).destroy_all
      head :no_content
    end
  end
end

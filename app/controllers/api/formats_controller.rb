# The formats that can be read, with the options each has.
module Api
  class FormatsController < BaseController
    def index
      render json:
               Glossema::Formats.all.map { |format|
                 {
                   name: format::NAME,
                   extensions: format::EXTENSIONS,
                   options: Glossema::Formats.options_of(format)
                 }
               }
    end
  end
end

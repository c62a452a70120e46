#pragma once
/// \file
/// People on a whole picture: where a body finder may start when nobody draws a box.

#include "finder/body_finder.h"

namespace riflesso {

struct Person {
    BodyBox box{};      ///< round the body, about
    double score = 0.0; ///< the model's own 0..1
};

/// A person must be tall in the picture: about half of a 1080p film's height, or of the box it is looked for in.
class PersonDetector {
public:
    /// Errors: missing, damaged or foreign model file; no engine on this processor.
    static Result<PersonDetector> open(const std::filesystem::path& model);
    /// The most prominent first: by score times size. Empty when nobody is there.
    Result<std::vector<Person>> find(const cv::Mat& rgb);

private:
    explicit PersonDetector(std::unique_ptr<Network> network) : m_network(std::move(network)) {}
    std::unique_ptr<Network> m_network;
};

} // namespace riflesso

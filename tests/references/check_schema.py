"""Validates JSON documents against a JSON Schema with python3-jsonschema: {"schema": …, "documents": […]} in, the
number of errors of each document out."""
import json
import sys

import jsonschema

job = json.load(sys.stdin)
jsonschema.Draft7Validator.check_schema(job["schema"])
validator = jsonschema.Draft7Validator(job["schema"])
print(json.dumps({"errors": [len(list(validator.iter_errors(d))) for d in job["documents"]]}))

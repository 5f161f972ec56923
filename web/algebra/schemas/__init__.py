"""Records of the algebra endpoints, typed from the core's contract."""
